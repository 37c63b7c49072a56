package org.opentrellis.app.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.opentrellis.app.Answers;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.StartRefused;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;

/** Mail over a server that whoever starts the application names: here a second stand-in. */
@Tag("thorough")
class RealServerTest {
  private static final int PATIENCE_MILLIS = 30_000;
  private static final String OUTSIDE = "--trellis.address=http://localhost:8350";
  private static final String PLAN =
      """
      other: Out into the world
      Starts when someone joins list "Doors"
      Send "Your hive planner is here"
      """;

  @TempDir static Path demo;

  private final GreenMail elsewhere =
      new GreenMail(new ServerSetup(0, "127.0.0.1", ServerSetup.PROTOCOL_SMTP));

  @TempDir Path data;
  @TempDir Path room;

  @BeforeAll
  static void layTheDemo() {
    RunningApplication.start(demo, "--trellis.demo=true").close();
  }

  @BeforeEach
  void start() {
    // It takes mail only of whoever signs in.
    elsewhere.getUserManager().setAuthRequired(true);
    elsewhere.start();
    elsewhere.setUser("workshop@example.com", "workshop", "of bees and frames");
  }

  @AfterEach
  void stop() {
    elsewhere.stop();
  }

  private String named() {
    return "--trellis.smtp=127.0.0.1:" + elsewhere.getSmtp().getPort();
  }

  private String login(String lines) throws Exception {
    return "--trellis.smtp-login=" + Files.writeString(room.resolve("login"), lines);
  }

  private void refusesToStart(String sentence, String... arguments) {
    assertThatThrownBy(() -> RunningApplication.start(data, arguments).close())
        .rootCause()
        .isInstanceOf(StartRefused.class)
        .hasMessageContaining(sentence);
  }

  @Test
  void mailGoesThereAndTheClockIsTheWalls() throws Exception {
    Files.copy(demo.resolve("trellis.mv.db"), data.resolve("trellis.mv.db"));
    try (ConfigurableApplicationContext application =
        RunningApplication.start(data, named(), OUTSIDE, login("workshop\nof bees and frames\n"))) {
      Answers over = Answers.of(application);
      LiveWorkshop workshop = new LiveWorkshop(over, application);
      long journey = workshop.open(PLAN);
      workshop.putIn(journey, workshop.person("somebody@example.com"));
      assertThat(elsewhere.waitForIncomingEmail(PATIENCE_MILLIS, 1)).isTrue();
      assertThat(elsewhere.getReceivedMessages()[0].getHeader("List-Unsubscribe")[0])
          .startsWith("<http://localhost:8350/");
      assertThat(elsewhere.getReceivedMessages()[0].getHeader("List-Unsubscribe-Post"))
          .containsExactly("List-Unsubscribe=One-Click");

      JsonNode live = over.until("/api/live", one -> one.at("/mail/waiting").asLong() == 0);
      assertThat(live.at("/mail/leavesTo").asString()).startsWith("127.0.0.1:");
      assertThat(over.get("/api/journeys/" + journey).body().get("mailLeavesTo").asString())
          .startsWith("127.0.0.1:");
      assertThat(workshop.mails("somebody@example.com")).as("the stand-in's inbox").isEmpty();
      assertThat(refusal(over.post("/api/live/clock", "{\"seconds\": 60}")))
          .contains("so the clock cannot be turned");
      assertThat(
              refusal(
                  over.post(
                      "/api/live/crowds",
                      "{\"journeys\": [%d], \"people\": 3, \"days\": 1, \"seed\": 1}"
                          .formatted(journey))))
          .contains("so simulated people cannot come");
    }
  }

  private static String refusal(Answers.Answer answer) {
    assertThat(answer.status()).as("%s", answer.body()).isEqualTo(400);
    return answer.body().at("/problems/0/sentence").asString();
  }

  /** It takes connections and says nothing: each try waits, but nothing else does. */
  @Test
  void aServerThatSaysNothingHoldsNobodyUp() throws Exception {
    Files.copy(demo.resolve("trellis.mv.db"), data.resolve("trellis.mv.db"));
    try (ServerSocket silent = new ServerSocket(0, 50, InetAddress.getLoopbackAddress());
        ConfigurableApplicationContext application =
            RunningApplication.start(
                data, "--trellis.smtp=127.0.0.1:" + silent.getLocalPort(), OUTSIDE)) {
      Answers over = Answers.of(application);
      LiveWorkshop workshop = new LiveWorkshop(over, application);
      long journey = workshop.open(PLAN);
      for (int n = 0; n < 12; n++) {
        workshop.putIn(journey, workshop.person("silent%d@example.com".formatted(n)));
      }
      long begun = System.nanoTime();
      JsonNode live = over.until("/api/live", one -> one.at("/mail/troubles").size() == 12);
      assertThat(Duration.ofNanos(System.nanoTime() - begun))
          .as("one wait for all, or two")
          .isLessThan(Duration.ofSeconds(45));
      assertThat(live.at("/mail/troubles/0/tryAt").isNumber()).isTrue();
      assertThat(live.at("/mail/waiting").asLong()).isEqualTo(12);
    }
  }

  /** Whoever may not sign in waits, and is told what the server said. */
  @Test
  void aWrongPasswordIsLateAndNothingIsLost() throws Exception {
    Files.copy(demo.resolve("trellis.mv.db"), data.resolve("trellis.mv.db"));
    try (ConfigurableApplicationContext application =
        RunningApplication.start(data, named(), OUTSIDE, login("workshop\nof wasps\n"))) {
      Answers over = Answers.of(application);
      LiveWorkshop workshop = new LiveWorkshop(over, application);
      long journey = workshop.open(PLAN);
      workshop.putIn(journey, workshop.person("somebody@example.com"));
      JsonNode live = over.until("/api/live", one -> !one.at("/mail/troubles").isEmpty());
      assertThat(live.at("/mail/troubles/0/tryAt").isNumber()).isTrue();
      assertThat(live.at("/mail/troubles/0/said").asString()).contains("535");
    }
  }

  @Test
  void nobodyInventedIsMailedAndNoClockIsAhead() throws Exception {
    refusesToStart("--smtp takes a host and a port", "--trellis.smtp=mail.example.com");
    refusesToStart("name one", login("a\nb\n"));
    refusesToStart("first line", named(), login("only a name"));
    refusesToStart("The demo", "--trellis.demo=true", named());
    refusesToStart("say with --address", named());
    refusesToStart("takes a web address", "--trellis.address=letters.example.com");
    refusesToStart("no password is set", "--trellis.address=https://letters.example.com");
    try (ConfigurableApplicationContext application = RunningApplication.start(data)) {
      Answers over = Answers.of(application);
      assertThat(over.post("/api/live/clock", "{\"seconds\": 90}").status()).isEqualTo(200);
      over.until("/api/live", one -> one.at("/clock/turning").isNull());
    }
    refusesToStart("has been turned on", named(), OUTSIDE);
  }
}
