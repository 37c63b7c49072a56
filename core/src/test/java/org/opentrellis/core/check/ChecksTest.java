package org.opentrellis.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.opentrellis.core.testing.Steps.branch;
import static org.opentrellis.core.testing.Steps.finish;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.onlyOpens;
import static org.opentrellis.core.testing.Steps.opened;
import static org.opentrellis.core.testing.Steps.pause;
import static org.opentrellis.core.testing.Steps.send;
import static org.opentrellis.core.testing.Steps.tag;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.problem.Severity;
import org.opentrellis.core.testing.Steps;

/** Each check fires where it should, keeps still where it should, and its fix mends. */
class ChecksTest {
  private static final Behaviour PEOPLE = onlyOpens(new Keenness(0.4, 0.2));
  private static final Condition TAGGED = new Condition.HasTag(new TagName("keeper"));

  private static List<Finding> find(String code, Journey journey) {
    return find(code, journey, Set.of());
  }

  private static List<Finding> find(String code, Journey journey, Set<TagName> elsewhere) {
    CheckContext context = new CheckContext(journey, Steps.MESSAGES, PEOPLE, elsewhere);
    return Checks.run(context).stream().filter(finding -> finding.code().equals(code)).toList();
  }

  @Test
  void noTrigger() {
    Journey with = journey(send("a"));
    Journey without =
        new Journey(
            with.name(),
            with.purpose(),
            with.state(),
            List.of(),
            with.entryFilter(),
            with.reEntry(),
            with.goal(),
            with.body());
    assertThat(find("no-trigger", with)).isEmpty();
    assertThat(find("no-trigger", without))
        .singleElement()
        .satisfies(finding -> assertThat(finding.severity()).isEqualTo(Severity.ERROR))
        .satisfies(
            finding -> assertThat(finding.sentence()).startsWith("Nothing brings people in."));
  }

  @Test
  void emailNotSentBefore() {
    Journey before = journey(branch("b", opened("a"), null, List.of(), List.of()), send("a"));
    assertThat(find("email-not-sent-before", before))
        .singleElement()
        .satisfies(finding -> assertThat(finding.step()).contains(new StepId("b")))
        .satisfies(finding -> assertThat(finding.sentence()).contains("opened \u201cHello\u201d?"));
    assertThat(find("email-not-sent-before", journey(send("a"), before.body().get(0)))).isEmpty();
  }

  @Test
  void anEmailOfAnotherArmCannotHaveBeenSentInThisOne() {
    Journey otherArm =
        journey(
            branch(
                "b",
                TAGGED,
                null,
                List.of(send("a")),
                List.of(branch("c", opened("a"), null, List.of(), List.of()))));
    assertThat(find("email-not-sent-before", otherArm)).hasSize(1);
    Journey behind =
        journey(
            branch("b", TAGGED, null, List.of(send("a")), List.of()),
            branch("c", opened("a"), null, List.of(), List.of()));
    assertThat(find("email-not-sent-before", behind)).isEmpty();
    Journey onlyWhoFinished =
        journey(
            branch("b", TAGGED, null, List.of(send("a"), finish("f")), List.of()),
            branch("c", opened("a"), null, List.of(), List.of()));
    assertThat(find("email-not-sent-before", onlyWhoFinished)).hasSize(1);
  }

  /** The share is the lognormal's: median 2 h, sigma 1.9389829614324, F(8 h) .762682976947 (R). */
  @Test
  void openedTooSoon() {
    assertThat(OpenedTooSoon.openedWithin(8, PEOPLE)).isCloseTo(0.762682976947134, within(1e-12));
    assertThat(OpenedTooSoon.openedWithin(2, PEOPLE)).isCloseTo(0.5, within(1e-12));
    assertThat(OpenedTooSoon.openedWithin(0, PEOPLE)).isZero();
    Journey hasty =
        journey(
            send("a"),
            pause("w", 30, TimeUnit.MINUTES),
            branch("b", opened("a"), null, List.of(), List.of()));
    Finding finding = find("opened-too-soon", hasty).get(0);
    assertThat(finding.sentence())
        .contains("about 30 minutes after it is sent")
        .contains("about 24%");
    assertThat(find("opened-too-soon", finding.fix().orElseThrow().mended())).isEmpty();
    Journey patient =
        journey(
            send("a"),
            branch("b", opened("a"), Amount.of(3, TimeUnit.HOURS), List.of(), List.of()));
    assertThat(find("opened-too-soon", patient)).isEmpty();
  }

  @Test
  void buyersStay() {
    Journey noGoal = journey(Optional.empty(), send("a"));
    Journey stays = journey(Optional.of(new Goal(10, false)), send("a"));
    assertThat(find("buyers-stay", journey(send("a")))).isEmpty();
    for (Journey bad : List.of(noGoal, stays)) {
      Finding finding = find("buyers-stay", bad).get(0);
      assertThat(finding.sentence()).contains("still get every email");
      assertThat(find("buyers-stay", finding.fix().orElseThrow().mended())).isEmpty();
    }
    assertThat(find("buyers-stay", stays).get(0).fix().orElseThrow().mended().goal())
        .contains(new Goal(10, true));
  }

  @Test
  void tagNeverSet() {
    Journey asks = journey(branch("b", TAGGED, null, List.of(), List.of()));
    assertThat(find("tag-never-set", asks))
        .singleElement()
        .satisfies(finding -> assertThat(finding.sentence()).contains("\u201ckeeper\u201d"));
    assertThat(find("tag-never-set", asks, Set.of(new TagName("keeper")))).isEmpty();
    assertThat(find("tag-never-set", journey(tag("t", "keeper"), asks.body().get(0)))).isEmpty();
  }
}
