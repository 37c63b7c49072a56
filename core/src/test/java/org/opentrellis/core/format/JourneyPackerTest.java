package org.opentrellis.core.format;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import java.util.stream.LongStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.sentence.RunSheet;
import org.opentrellis.core.testing.RandomJourneys;

class JourneyPackerTest {
  static LongStream seeds() {
    return LongStream.range(0, 100);
  }

  /** What is packed is enough to say the same elsewhere, and no more than is there. */
  @ParameterizedTest
  @MethodSource("seeds")
  void aFileSaysTheSameElsewhere(long seed) {
    Journey journey = RandomJourneys.journey(seed, 20);
    JourneyFile file =
        JourneyPacker.pack(
            journey,
            RandomJourneys.CATALOGUE,
            id -> Optional.empty(),
            RandomJourneys.behaviour(seed));
    assertThat(RunSheet.of(journey, file.catalogue()))
        .isEqualTo(RunSheet.of(journey, RandomJourneys.CATALOGUE));
    assertThat(RandomJourneys.CATALOGUE.messages()).containsAll(file.messages());
    assertThat(Documents.readFile(Documents.writeFile(file))).isEqualTo(file);
  }
}
