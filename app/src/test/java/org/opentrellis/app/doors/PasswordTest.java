package org.opentrellis.app.doors;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Duration;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.StartRefused;

/** One password for everything but the page that asks for it. */
@Tag("thorough")
class PasswordTest {
  private static final String PASSWORD = "nine frames and a queen";

  @RegisterExtension static final RunningApplication APP = RunningApplication.empty();

  private final HttpClient browser = HttpClient.newHttpClient();

  @AfterEach
  void noPassword() throws IOException {
    new PasswordFile(APP.data()).clear();
  }

  private HttpResponse<String> send(String method, String path, String body, String... headers)
      throws Exception {
    HttpRequest.Builder request =
        HttpRequest.newBuilder(URI.create(APP.address() + path))
            .header("Content-Type", "application/json")
            .method(method, HttpRequest.BodyPublishers.ofString(body));
    if (headers.length > 0) {
      request.headers(headers);
    }
    return browser.send(request.build(), HttpResponse.BodyHandlers.ofString());
  }

  private HttpResponse<String> signIn(String password) throws Exception {
    return send("POST", "/api/session", "{\"password\": \"%s\"}".formatted(password));
  }

  @Test
  void everythingAsksForItAndASessionHoldsUntilItIsChanged() throws Exception {
    assertThat(send("GET", "/api/journeys", "").statusCode()).isEqualTo(200);
    new PasswordFile(APP.data()).set(PASSWORD);
    assertThat(send("GET", "/api/journeys", "").statusCode()).isEqualTo(401);
    assertThat(send("POST", "/api/backups", "").statusCode()).isEqualTo(401);
    assertThat(send("GET", "/api/openapi", "").statusCode()).isEqualTo(401);
    assertThat(send("GET", "/journeys", "").statusCode()).isEqualTo(200);
    assertThat(signIn("eight frames").statusCode()).isEqualTo(403);

    HttpResponse<String> in = signIn(PASSWORD);
    assertThat(in.statusCode()).isEqualTo(204);
    String cookie = in.headers().firstValue("Set-Cookie").orElseThrow();
    assertThat(cookie).contains("HttpOnly", "SameSite=Strict");
    String session = cookie.substring(0, cookie.indexOf(';'));
    assertThat(send("GET", "/api/journeys", "", "Cookie", session).statusCode()).isEqualTo(200);

    new PasswordFile(APP.data()).set("another one, the same day");
    assertThat(send("GET", "/api/journeys", "", "Cookie", session).statusCode()).isEqualTo(401);
  }

  @Test
  void signingOutEndsTheSession() throws Exception {
    new PasswordFile(APP.data()).set(PASSWORD);
    String cookie = signIn(PASSWORD).headers().firstValue("Set-Cookie").orElseThrow();
    String session = cookie.substring(0, cookie.indexOf(';'));
    assertThat(send("DELETE", "/api/session", "", "Cookie", session).statusCode()).isEqualTo(204);
    assertThat(send("GET", "/api/journeys", "", "Cookie", session).statusCode()).isEqualTo(401);
  }

  @Test
  void whoCanReadTheFolderNeedsNone() throws Exception {
    new PasswordFile(APP.data()).set(PASSWORD);
    Path note = APP.data().resolve("running.json");
    assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(note)))
        .isEqualTo("rw-------");
    String key = Files.readString(note).replaceAll("(?s).*\"key\":\"([0-9a-f]{32})\".*", "$1");
    assertThat(send("GET", "/api/journeys", "", "Authorization", "Bearer " + key).statusCode())
        .isEqualTo(200);
    assertThat(send("GET", "/api/journeys", "", "Authorization", "Bearer x").statusCode())
        .isEqualTo(401);
  }

  @Test
  void afterFiveWrongOnesThereIsAPause() {
    AtomicLong nanos = new AtomicLong();
    Attempts attempts = new Attempts(nanos::get);
    for (int i = 0; i < Attempts.MOST_WRONG; i++) {
      assertThat(attempts.attempt("here", () -> false)).isEqualTo(Attempts.Outcome.WRONG);
    }
    assertThat(attempts.attempt("here", () -> true)).isEqualTo(Attempts.Outcome.TOO_MANY);
    assertThat(attempts.attempt("elsewhere", () -> true)).isEqualTo(Attempts.Outcome.RIGHT);
    nanos.addAndGet(Attempts.PAUSE.plus(Duration.ofSeconds(1)).toNanos());
    assertThat(attempts.attempt("here", () -> true)).isEqualTo(Attempts.Outcome.RIGHT);
  }

  @Test
  void itIsKeptAsAHashThatOnlyTheOwnerMayRead(@TempDir Path folder) throws IOException {
    PasswordFile password = new PasswordFile(folder);
    password.set(PASSWORD);
    assertThat(Files.readString(folder.resolve("password")))
        .startsWith("$2")
        .doesNotContain("queen");
    assertThat(
            PosixFilePermissions.toString(
                Files.getPosixFilePermissions(folder.resolve("password"))))
        .isEqualTo("rw-------");
    assertThat(password.isRight(PASSWORD)).isTrue();
    assertThat(password.isRight(PASSWORD + " ")).isFalse();
    assertThat(PasswordFile.refusal("short")).isPresent();
    assertThat(PasswordFile.refusal("\u00e4".repeat(40))).as("more than bcrypt reads").isPresent();
  }

  @Test
  void withoutOneNobodyListensBeyondThisMachine(@TempDir Path folder) throws Exception {
    assertThatThrownBy(() -> RunningApplication.start(folder, "--server.address=0.0.0.0").close())
        .rootCause()
        .isInstanceOf(StartRefused.class)
        .hasMessageContaining("no password is set");
    new PasswordFile(folder).set(PASSWORD);
    RunningApplication.start(folder, "--server.address=0.0.0.0", "--trellis.hosts=bees.example")
        .close();
  }
}
