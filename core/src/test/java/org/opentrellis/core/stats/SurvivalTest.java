package org.opentrellis.core.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Published values: the trial of 6-MP (Freireich and others 1963; data as gehan in R's MASS), with
 * figures from R's survfit and survdiff; Benjamini and Hochberg 1995 by R's p.adjust; sample sizes
 * after Fleiss, Levin and Paik by R.
 */
class SurvivalTest {
  private static final List<KaplanMeier.Followed> MP =
      followed(
          new int[] {6, 6, 6, 7, 10, 13, 16, 22, 23},
          new int[] {6, 9, 10, 11, 17, 19, 20, 25, 32, 32, 34, 35});
  private static final List<KaplanMeier.Followed> PLACEBO =
      followed(
          new int[] {1, 1, 2, 2, 3, 4, 4, 5, 5, 8, 8, 8, 8, 11, 11, 12, 12, 15, 17, 22, 23},
          new int[] {});

  private static List<KaplanMeier.Followed> followed(int[] happened, int[] lastSeen) {
    List<KaplanMeier.Followed> all = new ArrayList<>();
    for (int time : happened) {
      all.add(new KaplanMeier.Followed(time, true, 1));
    }
    for (int time : lastSeen) {
      all.add(new KaplanMeier.Followed(time, false, 1));
    }
    return all;
  }

  @ParameterizedTest(name = "t = {0}")
  @CsvSource({
    "0, 6, 21, 3, .857142857142857, .0763603548",
    "1, 7, 17, 1, .806722689075630, .0869352852",
    "2, 10, 15, 1, .752941176470588, .0963496530",
    "3, 13, 12, 1, .690196078431373, .1068147078",
    "4, 16, 11, 1, .627450980392157, .1140538653",
    "5, 22, 7, 1, .537815126050420, .1282337517",
    "6, 23, 6, 1, .448179271708683, .1345914568",
  })
  void kaplanMeierOfTheTreated(
      int index, double time, long atRisk, long events, double survival, double error) {
    KaplanMeier.Point point = KaplanMeier.of(MP).points().get(index);
    assertThat(point.time()).isEqualTo(time);
    assertThat(point.atRisk()).isEqualTo(atRisk);
    assertThat(point.events()).isEqualTo(events);
    assertThat(point.survival()).isCloseTo(survival, within(1e-12));
    assertThat(point.error()).isCloseTo(error, within(1e-9));
  }

  @ParameterizedTest(name = "t = {0}")
  @CsvSource({
    "0, .61971796, .95155175",
    "2, .50319951, .88936184",
    "6, .18805201, .68014263",
  })
  void limitsOnTheLogLogScale(int index, double low, double high) {
    Interval limits = KaplanMeier.of(MP).points().get(index).limits(Confidence.NINETY_FIVE);
    assertThat(limits.low()).isCloseTo(low, within(1e-7));
    assertThat(limits.high()).isCloseTo(high, within(1e-7));
  }

  @Test
  void kaplanMeierOfThePlacebo() {
    long[] left = {19, 17, 16, 14, 12, 8, 6, 4, 3, 2, 1, 0};
    List<KaplanMeier.Point> points = KaplanMeier.of(PLACEBO).points();
    assertThat(points).hasSize(12);
    for (int i = 0; i < 12; i++) {
      assertThat(points.get(i).survival() * 21).isCloseTo(left[i], within(1e-9));
    }
    assertThat(points.get(0).error()).isCloseTo(.0640564485, within(1e-9));
    assertThat(points.get(11).error()).isNaN();
  }

  @Test
  void logRankOfBoth() {
    LogRank test = LogRank.of(PLACEBO, MP);
    assertThat(test.observed()).isEqualTo(21);
    assertThat(test.expected()).isCloseTo(10.74949905, within(1e-8));
    assertThat(test.variance()).isCloseTo(6.25696057, within(1e-8));
    assertThat(test.chiSquare()).isCloseTo(16.79294099, within(1e-8));
    assertThat(test.pValue()).isCloseTo(4.16880911e-5, within(1e-12));
    assertThat(LogRank.of(MP, PLACEBO).chiSquare()).isCloseTo(test.chiSquare(), within(1e-10));
    assertThat(LogRank.of(List.of(), List.of()).pValue()).isEqualTo(1);
  }

  @Test
  void holm() {
    double[] p = {
      .0001, .0004, .0019, .0095, .0201, .0278, .0298, .0344, .0459, .3240, .4262, .5719, .6528,
      .7590, 1
    };
    double[] adjusted = {
      .0015, .0056, .0247, .114, .2211, .278, .278, .278, .3213, 1, 1, 1, 1, 1, 1
    };
    double[] own = Holm.adjust(p);
    for (int i = 0; i < p.length; i++) {
      assertThat(own[i]).isCloseTo(adjusted[i], within(1e-12));
    }
    assertThat(Holm.adjust(.01, .04, .03, .005))
        .containsExactly(new double[] {.03, .06, .06, .02}, within(1e-12));
    assertThat(Holm.adjust(.04, .001, .04, .2, .0125))
        .containsExactly(new double[] {.12, .005, .12, .2, .05}, within(1e-12));
    assertThat(Holm.adjust()).isEmpty();
  }

  @ParameterizedTest(name = "{0} against {1}")
  @CsvSource({
    ".6, .7, .01, .95, 807.067425", ".6, .7, .05, .8, 355.942813", ".25, .4, .05, .9, 202.809510",
    ".1, .2, .05, .8, 198.963413", ".2, .25, .05, .8, 1093.739046",
        ".05, .06, .05, .8, 8157.731448",
    ".02, .03, .05, .8, 3825.149722", ".5, .75, .05, .9, 76.706928452",
        ".5, .75, .01, .9, 109.095221662",
  })
  void sampleSizes(double first, double second, double alpha, double power, double perGroup) {
    assertThat(SampleSize.perGroup(first, second, alpha, power)).isCloseTo(perGroup, within(1e-5));
    assertThat(SampleSize.perGroup(second, first, alpha, power)).isCloseTo(perGroup, within(1e-5));
  }

  @Test
  void aSampleSizeNeedsADifference() {
    assertThatThrownBy(() -> SampleSize.perGroup(.2, .2, .05, .8))
        .hasMessageContaining("two different shares");
  }
}
