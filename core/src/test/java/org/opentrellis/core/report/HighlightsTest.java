package org.opentrellis.core.report;

import static org.assertj.core.api.Assertions.assertThat;
import static org.opentrellis.core.testing.Steps.BERLIN;
import static org.opentrellis.core.testing.Steps.MESSAGES;
import static org.opentrellis.core.testing.Steps.branch;
import static org.opentrellis.core.testing.Steps.finish;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.opened;
import static org.opentrellis.core.testing.Steps.openedByPeople;
import static org.opentrellis.core.testing.Steps.pause;
import static org.opentrellis.core.testing.Steps.send;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.TypicalBehaviour;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.MessageId;

/** A run's weak places are those that were made weak, and no others. */
class HighlightsTest {
  private static final Behaviour TYPICAL = TypicalBehaviour.in(BERLIN);

  private static JourneyReport report(Journey journey, Behaviour people) {
    CohortSettings cohort = CohortSettings.of(8_000, 3, Instant.parse("2027-03-01T00:00:00Z"), 60);
    DryRun run = new DryRun(journey, MESSAGES, people, cohort);
    return JourneyReport.of(Retold.of(run), run.run(2), 0);
  }

  private static Highlight of(JourneyReport report, Highlight.Kind kind) {
    return report.highlights().stream().filter(one -> one.kind() == kind).findFirst().orElseThrow();
  }

  @Test
  void theEmailWithTheLeastPullIsTheWeakest() {
    Journey three =
        journey(
            send("a"),
            pause("w", 2, TimeUnit.DAYS),
            send("b").edit().message(new MessageId("hello")).done(),
            pause("v", 2, TimeUnit.DAYS),
            send("c"));
    JourneyReport alike = report(three, TYPICAL);
    assertThat(alike.highlights())
        .extracting(Highlight::kind)
        .contains(Highlight.Kind.WEAKEST_EMAIL, Highlight.Kind.BIGGEST_LOSS);
    Highlight loss = of(alike, Highlight.Kind.BIGGEST_LOSS);
    assertThat(loss.step()).isEqualTo("a");
    assertThat(loss.sentence()).contains("mostly dead addresses");
  }

  /** It goes to those who did not open: that hardly anybody opens it is no weakness of it. */
  @Test
  void aSecondTryIsNotMeasuredByTheOthers() {
    Condition not = new Condition.None(List.of(openedByPeople("a")));
    Journey tried =
        journey(
            send("a"),
            pause("w", 2, TimeUnit.DAYS),
            send("b").edit().onlyIf(Optional.of(not)).done());
    assertThat(report(tried, TYPICAL).highlights())
        .noneMatch(one -> one.kind() == Highlight.Kind.WEAKEST_EMAIL);
  }

  /** Whoever is let go on purpose is not lost. */
  @Test
  void aDeliberateFinishIsNoLoss() {
    Journey parts =
        journey(
            send("a"),
            pause("w", 2, TimeUnit.DAYS),
            branch("b", opened("a"), null, List.of(), List.of(finish("f"))),
            send("c"));
    JourneyReport report = report(parts, TYPICAL);
    assertThat(report.dropOff().planned().count()).isGreaterThan(1_000);
    assertThat(of(report, Highlight.Kind.BIGGEST_LOSS).step()).isNotEqualTo("f");
    var off = report.dropOff();
    assertThat(
            off.through().count()
                + off.met().count()
                + off.planned().count()
                + off.lost().count()
                + off.waiting().count())
        .isEqualTo(report.measures().entered());
  }

  @Test
  void withoutAGoalAGoalIsAskedFor() {
    Journey noGoal = journey(Optional.empty(), send("a"));
    JourneyReport report = report(noGoal, TYPICAL);
    assertThat(report.highlights().get(0).kind()).isEqualTo(Highlight.Kind.NO_GOAL);
    assertThat(report.summary().get(0)).contains("no verdict is possible");
  }
}
