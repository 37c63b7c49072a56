package org.opentrellis.core.dryrun;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.opentrellis.core.testing.Steps.MESSAGES;
import static org.opentrellis.core.testing.Steps.branch;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.onlyOpens;
import static org.opentrellis.core.testing.Steps.opened;
import static org.opentrellis.core.testing.Steps.send;
import static org.opentrellis.core.testing.Steps.split;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.testing.RandomJourneys;

/** A run in parts, wherever they are made, is the run: to the last bit of all that is counted. */
class PartsTest {
  private static final Instant START = Instant.parse("2027-03-01T00:00:00Z");

  private static byte[] bytes(Tallies tallies) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    TallyForm.write(tallies, out);
    return out.toByteArray();
  }

  /** As if it came from another machine. */
  private static Tallies sent(DryRun run, Tallies tallies) {
    return TallyForm.read(run, new ByteArrayInputStream(bytes(tallies)));
  }

  @Test
  void partsOfRandomJourneysAreTheWhole() {
    for (long seed = 0; seed < 40; seed++) {
      DryRun run =
          new DryRun(
              RandomJourneys.journey(seed, 9),
              RandomJourneys.CATALOGUE,
              RandomJourneys.behaviour(seed),
              CohortSettings.of(701, seed, START, 40));
      List<Tallies> parts = new ArrayList<>();
      for (int first = 0; first < 701; first += 100) {
        parts.add(
            sent(run, run.part(first, Math.min(701, first + 100), null, Effort.of(1 + first % 3))));
      }
      assertThat(bytes(Tallies.ofPioneers(parts))).isEqualTo(bytes(run.run(1)));
    }
  }

  /**
   * More people than pioneers, and more ways than are kept apart: 2^14 by lot, of which 10,000 are
   * kept, those that the pioneers went first.
   */
  @Test
  @Tag("thorough")
  void behindThePioneersPartsComeInAnyOrder() {
    List<Step> steps = new ArrayList<>(List.of(send("a")));
    for (int n = 0; n < 14; n++) {
      steps.add(split("s" + n, 50, List.of(), List.of()));
    }
    steps.add(branch("b", opened("a"), Amount.of(1, TimeUnit.DAYS), List.of(send("c")), List.of()));
    Journey journey = journey(steps.toArray(Step[]::new));
    int people = Paths.PIONEERS + 120_000;
    DryRun run =
        new DryRun(
            journey,
            MESSAGES,
            onlyOpens(new Keenness(0.4, 0.2)),
            CohortSettings.of(people, 1, START, 30));
    int half = Paths.PIONEERS / 2;
    Tallies pioneers =
        Tallies.ofPioneers(
            List.of(
                sent(run, run.part(0, half, null, Effort.of(2))),
                sent(run, run.part(half, Paths.PIONEERS, null, Effort.of(1)))));
    List<Tallies> behind = new ArrayList<>();
    for (int first = Paths.PIONEERS; first < people; first += 50_000) {
      behind.add(
          sent(run, run.part(first, Math.min(people, first + 50_000), pioneers, Effort.of(1))));
    }
    // As a tree would: the later ones first.
    Tallies together = pioneers.and(behind.get(2).and(behind.get(1)).and(behind.get(0)));
    Tallies whole = run.run(2);
    assertThat(bytes(together)).isEqualTo(bytes(whole));
    assertThat(whole.journey().paths().kept()).hasSize(Paths.MOST);
    assertThat(whole.journey().paths().others()).isPositive();
    assertThat(whole.people()).isEqualTo(people);
  }

  @Test
  void aPartIsOnOneSideOfThePioneers() {
    DryRun run =
        new DryRun(
            journey(send("a")),
            MESSAGES,
            onlyOpens(new Keenness(0.4, 0.2)),
            CohortSettings.of(Paths.PIONEERS + 10, 1, START, 30));
    assertThatThrownBy(() -> run.part(5, Paths.PIONEERS + 5, null, Effort.of(1)))
        .hasMessageContaining("pioneers");
    assertThatThrownBy(() -> run.part(5, 5, null, Effort.of(1))).hasMessageContaining("no part");
  }
}
