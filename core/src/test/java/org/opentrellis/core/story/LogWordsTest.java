package org.opentrellis.core.story;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.journey.Channel;
import org.opentrellis.core.journey.EventName;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Money;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.journey.Trigger;

/** What happened to somebody outside of their messages, as a sentence that can be read aloud. */
class LogWordsTest {
  private static final JourneyName FRAMES = new JourneyName("#1");

  private static String said(Happening told) {
    return LogWords.sayOf(told, "\u201cFirst frames\u201d");
  }

  @Test
  void eachIsAWholeSentence() {
    List<Happening> all =
        List.of(
            new Happening.Joined(1, new ListName("Newcomers")),
            new Happening.LeftList(1, new ListName("Newcomers")),
            new Happening.Tagged(1, new TagName("market")),
            new Happening.Untagged(1, new TagName("market")),
            new Happening.FieldChanged(
                1, new FieldName("hives"), Optional.of(new Operand.Number(3))),
            new Happening.FieldChanged(1, new FieldName("hives"), Optional.empty()),
            new Happening.CartChanged(1, List.of()),
            new Happening.Ordered(1, "17", List.of(), new Money(1_990), Optional.empty()),
            new Happening.EventArrived(1, "e", new EventName("hive inspected"), Map.of()),
            new Happening.ConsentGiven(1, Channel.TEXT),
            new Happening.ConsentWithdrawn(1, Channel.EMAIL, Optional.empty()),
            new Happening.Complained(1),
            new Happening.Erased(1),
            new Happening.Came(
                1, FRAMES, new Trigger.OnDate(LocalDate.EPOCH, java.time.LocalTime.NOON)),
            new Happening.PutIn(1, FRAMES),
            new Happening.TakenOut(1, FRAMES),
            new Happening.PutForward(1, FRAMES),
            new Happening.Closed(1, FRAMES),
            new Happening.Stopped(1, FRAMES));
    assertThat(all)
        .extracting(LogWordsTest::said)
        .allSatisfy(
            sentence ->
                assertThat(sentence)
                    .matches("[\\p{Lu}\u201c].*\\.")
                    .doesNotContain("null", "#1", "Optional"))
        .doesNotHaveDuplicates();
  }

  @Test
  void whatIsDoneByHandSaysSo() {
    assertThat(said(new Happening.PutForward(1, FRAMES)))
        .isEqualTo("Was sent on in \u201cFirst frames\u201d by hand.");
    assertThat(said(new Happening.TakenOut(1, FRAMES)))
        .isEqualTo("Was taken out of \u201cFirst frames\u201d by hand.");
  }
}
