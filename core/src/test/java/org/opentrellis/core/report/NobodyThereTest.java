package org.opentrellis.core.report;

import static org.assertj.core.api.Assertions.assertThat;
import static org.opentrellis.core.testing.Steps.MESSAGES;
import static org.opentrellis.core.testing.Steps.branch;
import static org.opentrellis.core.testing.Steps.clicked;
import static org.opentrellis.core.testing.Steps.finish;
import static org.opentrellis.core.testing.Steps.hasTag;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.onlyOpens;
import static org.opentrellis.core.testing.Steps.pause;
import static org.opentrellis.core.testing.Steps.send;
import static org.opentrellis.core.testing.Steps.tag;

import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.sentence.Sentences;

/** What nobody gets to is told at the first place, with what is lost behind it and why. */
class NobodyThereTest {
  private static List<NobodyThere.Place> places(int people, Step... body) {
    Journey journey = journey(body);
    CohortSettings cohort = CohortSettings.of(people, 3, Instant.parse("2027-03-01T00:00:00Z"), 60);
    DryRun run = new DryRun(journey, MESSAGES, onlyOpens(new Keenness(0.4, 0.2)), cohort);
    return NobodyThere.of(RunMeasures.of(run.run(1)), journey, new Sentences(journey, MESSAGES));
  }

  @Test
  void anArmThatNobodyTakesIsToldOnceWithAllThatIsInIt() {
    List<NobodyThere.Place> places =
        places(
            1_000,
            send("a"),
            branch(
                "b",
                hasTag("never"),
                null,
                List.of(send("c"), branch("d", clicked("c"), null, List.of(), List.of())),
                List.of(send("e"))));
    assertThat(places).extracting(NobodyThere.Place::step).containsExactly("b-a");
    assertThat(places.get(0).sentence())
        .isEqualTo(
            "None of the 1,000 people of the estimate who are parted here takes this arm, so the"
                + " 2 steps behind it reach nobody: \u201chave tag never\u201d is true of none of them when"
                + " they get here, since the branch does not wait for it.");
  }

  @Test
  void whatStandsBehindAPlaceThatEverybodyWaitsOrEndsAtIsTold() {
    assertThat(places(1_000, send("a"), pause("w", 100, TimeUnit.DAYS), send("b"), send("c")))
        .containsExactly(
            new NobodyThere.Place(
                "b",
                "None of the 1,000 people of the estimate who come to the line before gets here, so"
                    + " the step behind it reaches nobody: all of them still wait there when the"
                    + " estimate ends."));
    Step ends = branch("x", hasTag("t"), null, List.of(finish("f")), List.of(finish("g")));
    assertThat(places(1_000, tag("s", "t"), ends, send("b")))
        .extracting(NobodyThere.Place::step)
        .containsExactly("x-else", "b");
  }

  /** Of few people it may be chance that none of them goes somewhere. */
  @Test
  void ofFewPeopleNothingIsSaid() {
    Step rare = branch("b", hasTag("never"), null, List.of(send("c")), List.of());
    assertThat(places(100, send("a"), rare)).isEmpty();
  }
}
