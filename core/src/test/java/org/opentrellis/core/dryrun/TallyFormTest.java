package org.opentrellis.core.dryrun;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.testing.RandomJourneys;

/** What a run counted, written as bytes and read again. */
class TallyFormTest {
  private static final Instant START = Instant.parse("2027-03-01T00:00:00Z");

  /** One journey or two, every third with people held out. */
  private static DryRun run(long seed, int people) {
    CohortSettings settings = CohortSettings.of(people, seed, START, 40);
    CohortSettings some =
        seed % 3 == 0
            ? new CohortSettings(people, seed, START, 40, settings.arrivals(), 0.2)
            : settings;
    var one = RandomJourneys.journey(seed, 8);
    var other = RandomJourneys.journey(seed + 1000, 5).edit().name("Another").done();
    var behaviour = RandomJourneys.behaviour(seed);
    return seed % 2 == 0
        ? new DryRun(one, RandomJourneys.CATALOGUE, behaviour, some)
        : new DryRun(
            List.of(one, other),
            RandomJourneys.CATALOGUE,
            List.of(behaviour, RandomJourneys.behaviour(seed + 1)),
            some);
  }

  private static byte[] bytes(Tallies tallies) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    TallyForm.write(tallies, out);
    return out.toByteArray();
  }

  private static Tallies read(DryRun run, byte[] bytes) {
    return TallyForm.read(run, new ByteArrayInputStream(bytes));
  }

  @Test
  void comesBackToTheLastCount() {
    for (long seed = 0; seed < 60; seed++) {
      DryRun run = run(seed, 400);
      Tallies tallies = run.run(1);
      byte[] bytes = bytes(tallies);
      Tallies back = read(run, bytes);
      assertThat(bytes(back)).isEqualTo(bytes);
      for (int journey = 0; journey < tallies.journeys().size(); journey++) {
        assertThat(RunMeasures.of(back, journey)).isEqualTo(RunMeasures.of(tallies, journey));
        assertThat(back.journeys().get(journey).paths().kept())
            .isEqualTo(tallies.journeys().get(journey).paths().kept());
      }
      assertThat(back.mostInAWeek()).isEqualTo(tallies.mostInAWeek());
    }
  }

  /** What was read counts on with others as what was counted here does. */
  @Test
  void whatWasReadIsAddedTo() {
    DryRun run = run(2, 3_000);
    Tallies here = run.run(1);
    byte[] twice = bytes(run.run(1).combine(here));
    assertThat(bytes(read(run, bytes(here)).combine(read(run, bytes(here))))).isEqualTo(twice);
  }

  /** A flipped bit is never read as other counts, nor are those of another run. */
  @Test
  void whatIsDamagedIsRefused() {
    DryRun run = run(4, 200);
    byte[] bytes = bytes(run.run(1));
    SplittableRandom random = new SplittableRandom(1);
    for (int n = 0; n < 400; n++) {
      byte[] damaged = bytes.clone();
      damaged[random.nextInt(bytes.length)] ^= (byte) (1 << random.nextInt(8));
      assertThatThrownBy(() -> read(run, damaged)).isInstanceOf(UncheckedIOException.class);
      byte[] cut = java.util.Arrays.copyOf(bytes, random.nextInt(bytes.length));
      assertThatThrownBy(() -> read(run, cut)).isInstanceOf(UncheckedIOException.class);
    }
    long others =
        IntStream.range(5, 30)
            .filter(
                seed -> {
                  try {
                    read(run(seed, 200), bytes);
                    return true;
                  } catch (UncheckedIOException refused) {
                    return false;
                  }
                })
            .count();
    assertThat(others).isZero();
  }

  /** As versions go on, what an older program wrote is told from damage. */
  @Test
  void anotherVersionSaysSo() {
    DryRun run = run(4, 200);
    byte[] bytes = bytes(run.run(1));
    bytes[4]++;
    assertThatThrownBy(() -> read(run, bytes))
        .hasMessageContaining("counts of form 2 and engine " + DryRun.ENGINE);
  }
}
