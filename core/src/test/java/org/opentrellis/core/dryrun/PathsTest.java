package org.opentrellis.core.dryrun;

import static org.assertj.core.api.Assertions.assertThat;
import static org.opentrellis.core.testing.Steps.MESSAGES;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.onlyOpens;
import static org.opentrellis.core.testing.Steps.split;
import static org.opentrellis.core.testing.Steps.tag;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.journey.Step;

/** More ways than are kept apart: still the same ones, with the same people, however parted. */
class PathsTest {
  private static final int PEOPLE = 60_000;

  /** 2^15 ways; so most are gone by one or two people only. */
  private static final DryRun MANY_WAYS =
      new DryRun(
          journey(
              IntStream.range(0, 15)
                  .mapToObj(n -> split("s" + n, 50, List.of(tag("t" + n, "x" + n)), List.of()))
                  .toArray(Step[]::new)),
          MESSAGES,
          onlyOpens(new Keenness(0.4, 0.2)),
          CohortSettings.of(PEOPLE, 1, Instant.parse("2027-03-01T00:00:00Z"), 30));

  private static final Paths ONE_THREAD = MANY_WAYS.run(1).journey().paths();

  @ParameterizedTest(name = "{0} threads")
  @ValueSource(ints = {2, 3, 7})
  void beyondTenThousandWaysThreadsMakeNoDifference(int threads) {
    Paths paths = MANY_WAYS.run(threads).journey().paths();
    assertThat(ONE_THREAD.kept()).hasSize(Paths.MOST);
    assertThat(ONE_THREAD.others()).isGreaterThan(PEOPLE / 4);
    assertThat(paths.kept()).isEqualTo(ONE_THREAD.kept());
    assertThat(paths.others()).isEqualTo(ONE_THREAD.others());
  }

  /** Against a plain count, for chunks of any size that are done in any order. */
  @Test
  void theFirstTenThousandInOrderOfPeopleAreCountedWhole() {
    Random random = new Random(5);
    long[] ways = random.longs(90_000, 0, 25_000).map(n -> n * n / 25_000).toArray();
    Map<Long, Long> plain = new LinkedHashMap<>();
    long others = 0;
    for (long way : ways) {
      if (plain.size() < Paths.MOST || plain.containsKey(way)) {
        plain.merge(way, 1L, Long::sum);
      } else {
        others++;
      }
    }
    for (int size : new int[] {1_000, 16_384, 90_000}) {
      PathsInOrder joined = new PathsInOrder(1, Paths::ofAll);
      List<Integer> chunks = new ArrayList<>();
      for (int chunk = 0; chunk * size < ways.length; chunk++) {
        chunks.add(chunk);
      }
      Collections.shuffle(chunks, random);
      for (int chunk : chunks) {
        Paths paths = Paths.ofChunk();
        for (int i = chunk * size; i < Math.min(ways.length, (chunk + 1) * size); i++) {
          paths.accept(ways[i], i, 0, false, 1, 0);
        }
        joined.add(chunk, new Paths[] {paths});
      }
      Paths all = joined.all()[0];
      assertThat(all.kept()).extracting(PathTally::count).containsExactlyElementsOf(plain.values());
      assertThat(all.others()).isEqualTo(others).isPositive();
    }
  }
}
