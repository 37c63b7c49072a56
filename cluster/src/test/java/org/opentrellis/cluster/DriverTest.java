package org.opentrellis.cluster;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.ObjectOutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.opentrellis.core.elsewhere.DriverWords;
import org.opentrellis.core.elsewhere.RunDocument;

/** The process that an application asks, with the options that {@code ./trellis} gives it. */
class DriverTest {
  @TempDir Path folder;

  private Process start(String master, RunDocument document) throws IOException {
    Path run = folder.resolve("run");
    try (ObjectOutputStream to = new ObjectOutputStream(Files.newOutputStream(run))) {
      to.writeObject(document);
    }
    Path target = Path.of("target").toAbsolutePath();
    return new ProcessBuilder(
            ProcessHandle.current().info().command().orElseThrow(),
            "@" + Path.of("src/main/resources/org/opentrellis/cluster/java.options"),
            "-cp",
            target.resolve("open-trellis-cluster.jar") + ":" + target.resolve("lib") + "/*",
            Driver.class.getName(),
            master,
            run.toString(),
            folder.resolve("counts").toString())
        .redirectError(folder.resolve("log").toFile())
        .start();
  }

  @Test
  void aRunIsMadeAndItsCountsAreLeft() throws Exception {
    RunDocument document = StandaloneTest.document(300_000, "first-frames");
    Process process = start("local[2]", document);
    List<String> said = process.inputReader().lines().toList();
    assertThat(process.waitFor()).as(Files.readString(folder.resolve("log"))).isZero();
    assertThat(said.stream().mapToInt(DriverWords::through).sum()).isEqualTo(300_000);
    assertThat(Files.readAllBytes(folder.resolve("counts")))
        .isEqualTo(Compiled.bytes(document.dryRun().run(1)));
  }

  @Test
  void whereNobodyAnswersASentenceComesBack() throws Exception {
    Process process = start("spark://127.0.0.1:9", StandaloneTest.document(10, "first-frames"));
    List<String> said = process.inputReader().lines().toList();
    assertThat(process.waitFor()).isEqualTo(1);
    assertThat(said.stream().flatMap(line -> DriverWords.trouble(line).stream()))
        .containsExactly("Nothing answers at spark://127.0.0.1:9; is the master running there?");
  }

  @Test
  void itGoesWithWhoeverAsked() throws Exception {
    Process process = start("local[2]", StandaloneTest.document(2_000_000_000, "first-frames"));
    process.inputReader().readLine();
    process.getOutputStream().close();
    assertThat(process.waitFor(10, java.util.concurrent.TimeUnit.SECONDS)).isTrue();
  }
}
