package org.opentrellis.app.doors;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.opentrellis.app.RunningApplication;

/** Which names and pages the application answers to. Requests go by socket, word for word. */
class DoorsTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.empty();

  private static String send(String method, String path, String... headers) throws IOException {
    try (Socket socket = new Socket("127.0.0.1", URI.create(APP.address()).getPort())) {
      String request =
          "%s %s HTTP/1.1\r\n%s\r\nContent-Length: 0\r\nConnection: close\r\n\r\n"
              .formatted(method, path, String.join("\r\n", headers));
      socket.getOutputStream().write(request.getBytes(StandardCharsets.UTF_8));
      return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  private static int status(String answer) {
    return Integer.parseInt(answer.split(" ")[1]);
  }

  @ParameterizedTest(name = "{0}: {1}")
  @CsvSource({
    "localhost, 200",
    "LOCALHOST:8350, 200",
    "127.0.0.1, 200",
    "127.0.0.1:1, 200",
    "'[::1]', 200",
    "'[::1]:8350', 200",
    "evil.example, 421",
    "localhost.evil.example, 421",
    "evil.example:8350, 421",
    "127.0.0.1.evil.example, 421",
    "192.168.0.7, 421",
    "0.0.0.0, 421",
    "localhost:80:80, 400",
    "localhost/, 400",
    "'', 421",
  })
  void onlyNamesOfThisMachineAreAnswered(String host, int status) throws IOException {
    for (String path : new String[] {"/api/journeys", "/", "/actuator/health"}) {
      assertThat(status(send("GET", path, "Host: " + host))).isEqualTo(status);
    }
  }

  @ParameterizedTest(name = "{0} {1}: {2}")
  @CsvSource({
    "http://localhost:8350, same-origin, 201",
    "https://localhost:8350, , 201",
    ", same-origin, 201",
    ", , 201",
    "http://evil.example, cross-site, 403",
    "http://evil.example, , 403",
    "http://localhost:9999, , 403",
    "http://localhost, , 403",
    "http://127.0.0.1:8350, , 403",
    "null, , 403",
    ", cross-site, 403",
    ", same-site, 403",
  })
  void noForeignPageChangesAnything(String origin, String site, int status) throws IOException {
    String sent =
        send(
            "POST",
            "/api/starters/welcome/journeys",
            "Host: localhost:8350",
            "Content-Type: application/json",
            origin == null ? "X-None: 1" : "Origin: " + origin,
            site == null ? "X-Nothing: 1" : "Sec-Fetch-Site: " + site);
    assertThat(status(sent)).isEqualTo(status);
    if (status == 403) {
      assertThat(sent).contains("\"code\":\"foreign-page\"");
    }
  }

  @Test
  void aForeignPageDoesNotReadEither() throws IOException {
    String sent = send("GET", "/api/journeys", "Host: localhost", "Sec-Fetch-Site: cross-site");
    assertThat(status(sent)).isEqualTo(403);
    String link = send("GET", "/journeys", "Host: localhost", "Sec-Fetch-Site: cross-site");
    assertThat(status(link)).as("a link from elsewhere opens the page").isEqualTo(200);
  }

  @ParameterizedTest
  @CsvSource({
    "application/json, 201",
    "application/json;charset=UTF-8, 201",
    "text/plain, 415",
    "application/x-www-form-urlencoded, 415",
    "multipart/form-data, 415",
    "application/yaml, 415",
    "text/csv, 415",
    "x, 415",
  })
  void aBodyMustSayThatItIsJson(String type, int status) throws IOException {
    String body = "{\"name\": \"Typed %s\", \"purpose\": \"OTHER\"}".formatted(type);
    try (Socket socket = new Socket("127.0.0.1", URI.create(APP.address()).getPort())) {
      String request =
          "POST /api/journeys HTTP/1.1\r\nHost: localhost\r\nContent-Type: %s\r\nContent-Length: %d\r\nConnection: close\r\n\r\n%s"
              .formatted(type, body.length(), body);
      socket.getOutputStream().write(request.getBytes(StandardCharsets.UTF_8));
      String answer = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
      assertThat(status(answer)).isEqualTo(status);
    }
  }

  @Test
  void everyAnswerSaysWhatMayBeDoneWithIt() throws IOException {
    for (String path : new String[] {"/", "/journeys", "/api/journeys", "/actuator/health"}) {
      assertThat(send("GET", path, "Host: localhost"))
          .contains(
              "Content-Security-Policy: default-src 'none'; script-src 'self';",
              "frame-ancestors 'none'",
              "X-Content-Type-Options: nosniff",
              "Referrer-Policy: same-origin",
              "Cross-Origin-Opener-Policy: same-origin",
              "Cross-Origin-Embedder-Policy: require-corp",
              "Cross-Origin-Resource-Policy: same-origin");
    }
  }

  @Test
  void whatIsNamedByItsContentsIsKeptLongAndTheRestAskedForAnew() throws IOException {
    String page = send("GET", "/", "Host: localhost");
    assertThat(page).contains("Cache-Control: no-cache");
    String script = page.replaceAll("(?s).*src=\"(/assets/[^\"]+\\.js)\".*", "$1");
    assertThat(send("GET", script, "Host: localhost"))
        .contains("Cache-Control: max-age=31536000, public, immutable");
    assertThat(send("GET", "/api/journeys", "Host: localhost")).contains("no-store");
  }

  /** All that the front end's own table of addresses names. */
  @Test
  void everyPageOfTheApplicationCanBeLoadedAgain() throws IOException {
    String routes = Files.readString(Path.of("../web/src/router.ts"));
    List<String> paths =
        Pattern.compile("path: '(/[^'*]*)'")
            .matcher(routes)
            .results()
            .map(path -> path.group(1).replaceAll(":\\w+(\\([^)]*\\))?", "1"))
            .toList();
    assertThat(paths).hasSizeGreaterThan(15).contains("/entrances/choices", "/journeys/1/walk");
    for (String path : paths) {
      assertThat(send("GET", path, "Host: localhost")).as(path).startsWith("HTTP/1.1 200");
    }
  }

  @Test
  void anUnknownAddressShowsTheApplicationsPageToPeopleAndAProblemToPrograms() throws IOException {
    String page = send("GET", "/nowhere/at/all", "Host: localhost\r\nAccept: text/html");
    assertThat(page).startsWith("HTTP/1.1 404").contains("<div id=\"app\"");
    for (String path : new String[] {"/api/nowhere", "/assets/nothing.js"}) {
      assertThat(send("GET", path, "Host: localhost\r\nAccept: text/html"))
          .startsWith("HTTP/1.1 404")
          .doesNotContain("<div");
    }
    assertThat(send("GET", "/nowhere", "Host: localhost\r\nAccept: application/json"))
        .startsWith("HTTP/1.1 404")
        .contains("application/problem+json");
  }

  @Test
  void ofTheInsideOnlyTheHealthIsShown() throws IOException {
    for (String path : new String[] {"/actuator", "/actuator/env", "/actuator/beans", "/error"}) {
      assertThat(status(send("GET", path, "Host: localhost"))).isBetween(400, 499);
    }
    assertThat(send("GET", "/actuator/health", "Host: localhost")).contains("\"status\":\"UP\"");
  }
}
