package org.opentrellis.app.live;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.opentrellis.core.reading.Plan;

/** Whom a journey mails within the first hour is welcomed by it. */
class FirstHourTest {
  private static final String SPLIT =
      """
      %sSplit by lot 50%% / 50%%
        arm A, 50%%:
          Tag "a"
        arm B, 50%%:
          Send "Hello"
      """;

  @ParameterizedTest
  @CsvSource({"30 minutes, true", "1 hour, true", "2 hours, false"})
  void anEmailBehindAShortWaitIsWithinIt(String wait, boolean mails) {
    assertThat(mails("Wait " + wait + "\nSend \"Hello\"\n")).isEqualTo(mails);
  }

  @ParameterizedTest
  @CsvSource({"'', true", "'Wait 2 days\n', false", "'Tag \"b\"\n', true"})
  void soIsOneThatOnlySomeGet(String before, boolean mails) {
    assertThat(mails(SPLIT.formatted(before))).isEqualTo(mails);
  }

  private static boolean mails(String body) {
    String plan = "welcome: First hour\nStarts when someone joins list \"Newcomers\"\n" + body;
    return FirstHour.mails(Plan.read(plan).journey().body());
  }
}
