package org.opentrellis.torture;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;

/** The application as a process of its own. */
final class Server implements AutoCloseable {
  private static final Duration PATIENCE = Duration.ofSeconds(90);

  private final Path folder;
  private final Process process;

  private Server(Path folder, Process process) {
    this.folder = folder;
    this.process = process;
  }

  /**
   * Starts it, and returns before it is ready.
   *
   * @param command what starts it, without options
   */
  static Server start(List<String> command, Path folder, boolean demo) throws IOException {
    Files.createDirectories(folder);
    Files.deleteIfExists(folder.resolve("running.json"));
    List<String> words = new ArrayList<>(command);
    words.add("--server.port=0");
    words.add("--trellis.data=" + folder);
    words.add("--trellis.demo=" + demo);
    Process process =
        new ProcessBuilder(words)
            .redirectErrorStream(true)
            .redirectOutput(logOf(folder).toFile())
            .start();
    return new Server(folder, process);
  }

  /** Waits until it is ready; false if it ended instead. */
  boolean awaitReady() throws IOException {
    Path note = folder.resolve("running.json");
    return await(() -> Files.exists(note) && length(note) > 0);
  }

  /** Waits until something is so; false if the process ended, or it took too long. */
  boolean await(BooleanSupplier happened) {
    long until = System.nanoTime() + PATIENCE.toNanos();
    while (!happened.getAsBoolean()) {
      if (!process.isAlive() || System.nanoTime() > until) {
        return false;
      }
      sleep(5);
    }
    return true;
  }

  private static long length(Path file) {
    try {
      return Files.size(file);
    } catch (IOException gone) {
      return 0;
    }
  }

  static void sleep(long millis) {
    try {
      Thread.sleep(millis);
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(stopped);
    }
  }

  /** What it said last, for whoever looks for the reason of an end. */
  String lastWords() throws IOException {
    String log = Files.readString(logOf(folder));
    return log.substring(Math.max(0, log.length() - 1_500)).strip();
  }

  private static Path logOf(Path folder) {
    return folder.resolveSibling(folder.getFileName() + ".log");
  }

  Api api() throws IOException {
    return new Api(address());
  }

  String address() throws IOException {
    int port =
        Api.JSON.readTree(Files.readString(folder.resolve("running.json"))).path("port").asInt();
    return "http://127.0.0.1:" + port;
  }

  /** SIGKILL: nothing in the process is told. */
  void kill() {
    process.destroyForcibly();
    waitFor();
  }

  private void waitFor() {
    try {
      if (!process.waitFor(30, TimeUnit.SECONDS)) {
        process.destroyForcibly().waitFor();
      }
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
    }
  }

  @Override
  public void close() {
    process.destroy();
    waitFor();
  }
}
