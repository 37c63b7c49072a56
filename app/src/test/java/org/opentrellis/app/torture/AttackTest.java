package org.opentrellis.app.torture;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.torture.HostileRequests;
import org.opentrellis.torture.Score;
import org.opentrellis.torture.TwentyAtOnce;
import org.slf4j.LoggerFactory;

/** Requests that no user of good will sends; {@code ./trellis torture} sends many more. */
@Tag("torture")
@Order(1)
class AttackTest {
  private static final long SEED = 12;

  @RegisterExtension static final RunningApplication APP = RunningApplication.withDemo();

  private static final ListAppender<ILoggingEvent> LOG = new ListAppender<>();

  @BeforeAll
  static void listen() {
    LOG.start();
    ((Logger) LoggerFactory.getLogger(Logger.ROOT_LOGGER_NAME)).addAppender(LOG);
  }

  @AfterAll
  static void hush() {
    ((Logger) LoggerFactory.getLogger(Logger.ROOT_LOGGER_NAME)).detachAppender(LOG);
  }

  @Test
  void nothingThatIsSentIsAnsweredAsOurFaultOrLate() {
    Score score = new Score();
    new HostileRequests(APP.address(), SEED, 6).suffer(score);
    assertThat(score.told()).isEmpty();
    assertThat(score.tried()).isGreaterThan(1_000);
    assertThat(LOG.list)
        .as("what a person does wrong is not in the log")
        .noneMatch(line -> line.getLevel().isGreaterOrEqual(Level.WARN));
  }

  @Test
  void twentyAtOnceGetNamesOfTheirOwnOrAreToldThatTheyAreTaken() {
    Score score = new Score();
    new TwentyAtOnce(APP.address(), SEED).suffer(score);
    assertThat(score.told()).isEmpty();
  }
}
