package org.opentrellis.core.elsewhere;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.ObjectInputStream;
import java.io.ObjectOutputStream;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.core.account.Texting;
import org.opentrellis.core.behaviour.ArrivalPlan;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.PeopleScores;
import org.opentrellis.core.dryrun.PeopleScores.Count;
import org.opentrellis.core.dryrun.RunControl;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.dryrun.TallyForm;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.report.RunReport;
import org.opentrellis.core.testing.RandomJourneys;

/** Whoever gets a run as documents, and as bytes, comes to the same as who has it as objects. */
class RunDocumentTest {
  private static final Instant START = Instant.parse("2027-03-01T00:00:00Z");

  private record Given(
      List<Journey> journeys, List<Behaviour> behaviours, CohortSettings settings) {
    static Given of(long seed, int people) {
      List<Journey> journeys = new ArrayList<>(List.of(RandomJourneys.journey(seed, 10)));
      List<Behaviour> behaviours = new ArrayList<>(List.of(RandomJourneys.behaviour(seed)));
      if (seed % 2 == 1) {
        journeys.add(RandomJourneys.journey(seed + 500, 6).edit().name("Another").done());
        behaviours.add(RandomJourneys.behaviour(seed + 500));
      }
      double holdOut = seed % 3 == 0 ? 0.1 : 0;
      return new Given(
          journeys,
          behaviours,
          new CohortSettings(people, seed, START, 45, new ArrivalPlan.Evenly(20), holdOut));
    }

    DryRun run() {
      return new DryRun(journeys, RandomJourneys.CATALOGUE, behaviours, settings);
    }

    RunDocument document() {
      return RunDocument.of(journeys, RandomJourneys.CATALOGUE, behaviours, settings);
    }
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20})
  void theSamePeopleGoTheSameWays(long seed) throws Exception {
    Given given = Given.of(seed, 700);
    RunDocument arrived = sent(given.document());
    assertThat(arrived).isEqualTo(given.document());
    Tallies here = given.run().run(1);
    RunReport told = RunReport.of(given.run(), here, Texting.NONE);
    assertThat(bytes(arrived.dryRun().run(1))).isEqualTo(bytes(here));
    Tallies back = TallyForm.read(arrived.dryRun(), new ByteArrayInputStream(bytes(here)));
    assertThat(RunReport.of(arrived.dryRun(), back, Texting.NONE)).isEqualTo(told);
    assertThat(RunReport.of(given.run(), here, Texting.NONE)).isEqualTo(told);
  }

  @Test
  void scoresOfPartsAreThoseOfAll() {
    DryRun run = Given.of(3, 2_000).run();
    PeopleScores all = PeopleScores.of(run, 0, RunControl.NONE);
    List<PeopleScores> parts = new ArrayList<>();
    for (int[] part : new int[][] {{0, 1}, {1, 900}, {900, 2_000}}) {
      parts.add(sent(run, part[0], part[1]));
    }
    PeopleScores joined = PeopleScores.joined(run, parts);
    for (Count count : Count.values()) {
      assertThat(joined.of(count)).isEqualTo(all.of(count));
    }
    assertThat(joined.sum(Count.EMAILS)).isPositive();
    assertThat(joined.mostInAWeek()).isEqualTo(all.mostInAWeek());
    assertThat(joined.emailsInBusiestMonth()).isEqualTo(all.emailsInBusiestMonth());
  }

  @Test
  void missingPeopleAreNotPassedOver() {
    DryRun run = Given.of(4, 100).run();
    PeopleScores first = sent(run, 0, 40);
    PeopleScores last = sent(run, 50, 100);
    assertThatThrownBy(() -> PeopleScores.joined(run, List.of(first, last)))
        .hasMessage("people are missing from 40 on");
    assertThatThrownBy(() -> PeopleScores.joined(run, List.of(first)))
        .hasMessage("people are missing from 40 on");
  }

  @Test
  void damagedScoresAreRefused() {
    DryRun run = Given.of(4, 100).run();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    PeopleScores.of(run, 0, 0, 100, RunControl.NONE).write(out);
    byte[] bytes = out.toByteArray();
    bytes[bytes.length / 2] ^= 1;
    assertThatThrownBy(() -> PeopleScores.read(run, 0, 100, new ByteArrayInputStream(bytes)))
        .isInstanceOf(UncheckedIOException.class);
  }

  private static PeopleScores sent(DryRun run, int first, int end) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    PeopleScores.of(run, 0, first, end, RunControl.NONE).write(out);
    return PeopleScores.read(run, first, end, new ByteArrayInputStream(out.toByteArray()));
  }

  private static RunDocument sent(RunDocument document) throws IOException, ClassNotFoundException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ObjectOutputStream objects = new ObjectOutputStream(out)) {
      objects.writeObject(document);
    }
    try (ObjectInputStream in =
        new ObjectInputStream(new ByteArrayInputStream(out.toByteArray()))) {
      return (RunDocument) in.readObject();
    }
  }

  private static byte[] bytes(Tallies tallies) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    TallyForm.write(tallies, out);
    return out.toByteArray();
  }
}
