package org.opentrellis.app.elsewhere;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.ObjectOutputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.opentrellis.core.dryrun.RunControl;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.dryrun.TallyForm;
import org.opentrellis.core.elsewhere.ClusterTrouble;
import org.opentrellis.core.elsewhere.DriverWords;
import org.opentrellis.core.elsewhere.RunDocument;
import org.springframework.util.FileSystemUtils;

/**
 * Speaks to a cluster through a process of its own, which has what that takes on its class path.
 * The process gets a run as a file, says on its output how many people are through, and leaves the
 * counts in another file. It ends when its input does, so it never outlives this application.
 *
 * @param options a file of options for {@code java}, which ends with the class to run
 */
record Driver(Path options) {
  private static final int LOOK_EVERY_MILLIS = 100;

  Tallies run(RunDocument document, String master, RunControl control) {
    try {
      Path folder = Files.createTempDirectory("open-trellis-run");
      try {
        Path counts = folder.resolve("counts");
        speak(start(folder, document, master, counts), folder, master, control);
        try (InputStream from = Files.newInputStream(counts)) {
          return TallyForm.read(document.dryRun(), from);
        }
      } finally {
        FileSystemUtils.deleteRecursively(folder);
      }
    } catch (IOException | UncheckedIOException failed) {
      throw new ClusterTrouble(
          "The run could not be made on %s: %s".formatted(master, failed.getMessage()), failed);
    }
  }

  private Process start(Path folder, RunDocument document, String master, Path counts)
      throws IOException {
    Path run = folder.resolve("run");
    try (OutputStream to = Files.newOutputStream(run);
        ObjectOutputStream objects = new ObjectOutputStream(to)) {
      objects.writeObject(document);
    }
    return new ProcessBuilder(
            ProcessHandle.current().info().command().orElse("java"),
            "@" + options,
            master,
            run.toString(),
            counts.toString())
        .redirectError(folder.resolve("log").toFile())
        .start();
  }

  private static void speak(Process process, Path folder, String master, RunControl control)
      throws IOException {
    String trouble = null;
    try (BufferedReader says = process.inputReader(StandardCharsets.UTF_8)) {
      while (saysMore(process, says, control)) {
        String line = says.readLine();
        control.reached(DriverWords.through(line));
        trouble = DriverWords.trouble(line).orElse(trouble);
      }
      if (process.waitFor() != 0) {
        throw new ClusterTrouble(trouble != null ? trouble : unknown(folder, master), null);
      }
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      throw new ClusterTrouble("The run on %s was interrupted.".formatted(master), stopped);
    } finally {
      end(process);
    }
  }

  /** Waits for the next line, and meanwhile looks whether the run is to be stopped. */
  private static boolean saysMore(Process process, BufferedReader says, RunControl control)
      throws IOException, InterruptedException {
    while (!says.ready() && !process.waitFor(LOOK_EVERY_MILLIS, TimeUnit.MILLISECONDS)) {
      control.reached(0);
    }
    return says.ready();
  }

  private static String unknown(Path folder, String master) throws IOException {
    List<String> log = Files.readAllLines(folder.resolve("log"));
    return "The run could not be made on %s: %s"
        .formatted(master, log.isEmpty() ? "nobody says why." : log.get(log.size() - 1));
  }

  /**
   * Its input ends first, which it takes as a word to go. It is gone when this returns: what it may
   * still write goes into a folder that is taken away next.
   */
  private static void end(Process process) throws IOException {
    process.getOutputStream().close();
    try {
      if (process.waitFor(2, TimeUnit.SECONDS)) {
        return;
      }
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
    }
    process.destroyForcibly().onExit().join();
  }
}
