package org.opentrellis.core.dryrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.time.Instant;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.opentrellis.core.testing.RandomJourneys;

/** By the plain walk or by the machine, people come to the same counts, to the last bit. */
class PlainWalkTest {
  private static final Instant START = Instant.parse("2027-03-01T00:00:00Z");

  static LongStream seeds() {
    return LongStream.range(0, 400);
  }

  private static DryRun run(long seed, int people) {
    return new DryRun(
        RandomJourneys.plainJourney(seed, 12),
        RandomJourneys.CATALOGUE,
        RandomJourneys.plainBehaviour(seed),
        CohortSettings.of(people, seed, START, 40));
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void theCountsAreThoseOfTheMachine(long seed) {
    DryRun run = run(seed, 700);
    assertThat(bytes(run, true)).isEqualTo(bytes(run, false));
  }

  @Test
  void manyJourneysArePlain() {
    assertThat(seeds().filter(seed -> run(seed, 1).isPlain()).count()).isGreaterThan(300);
  }

  private static byte[] bytes(DryRun run, boolean plainly) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    int people = run.settings().people();
    TallyForm.write(run.counted(0, people, Paths::ofAll, Effort.of(1), plainly), out);
    return out.toByteArray();
  }
}
