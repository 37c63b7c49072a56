package org.opentrellis.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.opentrellis.app.storage.DataFolder;

/** What the console says when the application cannot start: one sentence, and no stack. */
@Tag("thorough")
public class StartTest {
  /** The application from this test's own classes, quick to start. */
  public static final List<String> COMMAND =
      List.of(
          Path.of(System.getProperty("java.home"), "bin", "java").toString(),
          "-XX:+UseSerialGC",
          "-XX:TieredStopAtLevel=1",
          "-Dspringdoc.api-docs.enabled=false",
          "-cp",
          System.getProperty("java.class.path"),
          TrellisApplication.class.getName());

  @TempDir Path folder;

  private String refusal(String... arguments) throws Exception {
    List<String> words = new ArrayList<>(COMMAND);
    words.add("--trellis.data=" + folder);
    words.addAll(List.of(arguments));
    Process process = new ProcessBuilder(words).redirectErrorStream(true).start();
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(process.waitFor()).isEqualTo(1);
    List<String> lines = said.lines().filter(StartTest::isOurs).toList();
    assertThat(lines).as(said).hasSize(1);
    return lines.get(0);
  }

  /** The logging library has something to say of the path that tests run with. */
  private static boolean isOurs(String line) {
    return !line.contains(" INFO ") && !line.startsWith("SLF4J");
  }

  @Test
  void aDamagedDatabase() throws Exception {
    Files.writeString(folder.resolve("trellis.mv.db"), "no database ".repeat(1_000));
    assertThat(refusal("--server.port=0"))
        .startsWith("trellis: The database in " + folder + " is damaged")
        .contains("./trellis restore");
  }

  @Test
  void aFolderThatIsInUse() throws Exception {
    try (DataFolder held = DataFolder.open(folder)) {
      assertThat(refusal("--server.port=0")).contains("is in use by another Open Trellis");
    }
  }

  @Test
  void aPortThatIsTaken() throws Exception {
    try (ServerSocket other = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      assertThat(refusal("--server.port=" + other.getLocalPort()))
          .isEqualTo(
              "trellis: Port %d is taken by another program. Stop that one, or choose another with --port."
                  .formatted(other.getLocalPort()));
    } catch (IOException none) {
      throw new AssertionError("no port is free", none);
    }
  }
}
