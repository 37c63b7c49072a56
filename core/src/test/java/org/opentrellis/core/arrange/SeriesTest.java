package org.opentrellis.core.arrange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.opentrellis.core.testing.Steps.MESSAGES;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.send;
import static org.opentrellis.core.testing.Steps.tag;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.sentence.RunSheet;

class SeriesTest {
  private static final Journey JOURNEY = journey(send("a"), tag("t", "x"));

  private static List<String> said(Arranged arranged) {
    Journey after = ((Arranged.Done) arranged).journey();
    return RunSheet.of(after, MESSAGES).rows().stream().map(row -> row.sentence().text()).toList();
  }

  private static Series series() {
    return new Series(JOURNEY, MESSAGES);
  }

  @Test
  void triesFollowTheEmailAndLeaveOutWhoeverHasOpenedOne() {
    List<String> said = said(series().tryAgain("a", 2));
    assertThat(said).hasSize(6);
    assertThat(said.get(1)).isEqualTo("Wait 2 days");
    assertThat(said.get(2)).contains("only if they have not opened");
    assertThat(said.get(4)).contains("only if they neither opened").contains("nor opened");
    assertThat(said.get(5)).startsWith("Tag");
    assertThatThrownBy(() -> series().tryAgain("a", 4)).hasMessageContaining("1 to 3, not 4");
  }

  @Test
  void onlyAnEmailIsTriedAgain() {
    assertThat(series().tryAgain("t", 1))
        .isEqualTo(
            new Arranged.Refused(
                "Choose the email to try again first: these steps go below it and ask about it."));
    assertThat(series().textTheRest("t", new MessageId("m"), 12))
        .isInstanceOf(Arranged.Refused.class);
  }

  @Test
  void theRestGetATextSomeHoursLater() {
    List<String> said = said(series().textTheRest("a", new MessageId("m"), 12));
    assertThat(said.get(1)).isEqualTo("Wait 12 hours");
    assertThat(said.get(2)).startsWith("Text").contains("only if they have not opened");
  }

  @Test
  void remindersStandBeforeTheDateAndOnIt() {
    List<String> said = said(series().remind("t", new FieldName("renewal"), new MessageId("m"), 7));
    assertThat(said.get(2)).isEqualTo("Wait until 7 days before renewal, 09:00");
    assertThat(said.get(4)).isEqualTo("Wait until the day of renewal, 09:00");
    assertThat(said.get(5)).startsWith("Send");
  }
}
