package org.opentrellis.app.torture;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.torture.HostileRequests;
import org.opentrellis.torture.Score;
import org.opentrellis.torture.TwentyAtOnce;

/** Requests that no user of good will sends; {@code ./trellis torture} sends many more. */
@Tag("torture")
class AttackTest {
  private static final long SEED = 12;

  @RegisterExtension static final RunningApplication APP = RunningApplication.withDemo();

  @Test
  void nothingThatIsSentIsAnsweredAsOurFaultOrLate() {
    Score score = new Score();
    new HostileRequests(APP.address(), SEED, 20).suffer(score);
    assertThat(score.told()).isEmpty();
    assertThat(score.tried()).isGreaterThan(3_000);
  }

  @Test
  void twentyAtOnceGetNamesOfTheirOwnOrAreToldThatTheyAreTaken() {
    Score score = new Score();
    new TwentyAtOnce(APP.address(), SEED).suffer(score);
    assertThat(score.told()).isEmpty();
  }
}
