package org.opentrellis.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The one command: its help, and what it says to a slip. */
class TrellisCommandTest {
  private record Outcome(int status, String text) {}

  private static Outcome run(String... arguments) throws Exception {
    List<String> command = new ArrayList<>(List.of("./trellis"));
    command.addAll(List.of(arguments));
    Process process =
        new ProcessBuilder(command)
            .directory(Path.of("..").toFile())
            .redirectErrorStream(true)
            .start();
    String text = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    return new Outcome(process.waitFor(), text);
  }

  @Test
  void helpNamesEveryCommandAndOption() throws Exception {
    Outcome help = run("--help");
    assertThat(help.status()).isZero();
    assertThat(help.text())
        .contains(
            "demo",
            "start",
            "test",
            "backup",
            "restore",
            "password",
            "torture",
            "audit",
            "--port",
            "--data",
            "--fresh",
            "--listen",
            "--host");
  }

  @ParameterizedTest(name = "{0}")
  @CsvSource({
    "dance, Unknown command dance.",
    "demo --loud, Unknown option --loud.",
    "demo --port, --port needs a value.",
    "demo --port x, '--port takes a number, not x.'",
    "demo --port 70000, '--port takes 1 to 65535, not 70000.'",
    "start --fresh, --fresh is for demo only.",
    "start --listen, --listen needs a value.",
    "start --host a;b, --listen and --host take names or addresses.",
    "backup, backup needs a file.",
    "restore a b, restore takes one file.",
    "backup --none x, --none is for password only.",
    "password x, password takes no file.",
    "audit x, audit takes no file.",
    "torture --minutes x, '--minutes takes a number, not x.'",
  })
  void badUseIsSaidAndExitsWithTwo(String arguments, String message) throws Exception {
    Outcome refused = run(arguments.split(" "));
    assertThat(refused.status()).isEqualTo(2);
    assertThat(refused.text()).contains(message).contains("--help");
  }
}
