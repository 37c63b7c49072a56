package org.opentrellis.core.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

class TimeBucketsTest {

  /** Hyndman and Fan 1996, type 1, on their example: 1 3 4 8 15 16 23 42. */
  @Test
  void quantilesOfSmallTimesAreExact() {
    TimeBuckets buckets = new TimeBuckets();
    for (long value : new long[] {42, 1, 3, 23, 4, 8, 16, 15}) {
      buckets.accept(value);
    }
    assertThat(buckets.quantile(0.1)).isEqualTo(1);
    assertThat(buckets.quantile(0.25)).isEqualTo(3);
    assertThat(buckets.quantile(0.5)).isEqualTo(8);
    assertThat(buckets.quantile(0.75)).isEqualTo(16);
    assertThat(buckets.quantile(0.9)).isEqualTo(42);
    assertThat(buckets.quantileError(0.9)).isZero();
  }

  @Test
  void aQuantileOfLargeTimesIsOffByAtMostItsBucket() {
    SplittableRandom random = new SplittableRandom(3);
    long[] times = random.longs(5_001, 0, 80_000_000).toArray();
    TimeBuckets buckets = new TimeBuckets();
    Arrays.stream(times).forEach(buckets::accept);
    Arrays.sort(times);
    for (int percent = 1; percent < 100; percent++) {
      long exact = times[(int) Math.ceil(percent / 100.0 * times.length) - 1];
      double error = buckets.quantileError(percent / 100.0);
      assertThat(error).isLessThanOrEqualTo(exact / 128.0 + 1);
      assertThat((double) Math.abs(buckets.quantile(percent / 100.0) - exact))
          .isLessThanOrEqualTo(error);
    }
  }

  @Test
  void partsMergeToTheWhole() {
    TimeBuckets all = new TimeBuckets();
    TimeBuckets one = new TimeBuckets();
    TimeBuckets two = new TimeBuckets();
    for (long time = 0; time < 100_000; time += 37) {
      all.accept(time);
      (time % 2 == 0 ? one : two).accept(time);
    }
    one.combine(two);
    assertThat(one.total()).isEqualTo(all.total());
    assertThat(one.quantile(0.3)).isEqualTo(all.quantile(0.3));
  }

  @Test
  void nothingCountedHasNoQuantile() {
    assertThatThrownBy(() -> new TimeBuckets().quantile(0.5)).hasMessage("no times counted yet");
  }
}
