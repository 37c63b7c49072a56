package org.opentrellis.core.newsletter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.stats.Proportion;

/** Which subject goes to the rest, and what is said of it. */
class SubjectVerdictTest {
  private static final List<String> TWO = List.of("Frames", "Hives");
  private static final List<String> FOUR = List.of("Frames", "Hives", "Smoke", "Queens");

  private static SubjectVerdict of(List<String> subjects, Proportion... shares) {
    return SubjectVerdict.of(subjects, List.of(shares), SubjectTest.By.OPENED);
  }

  @Test
  void aClearDifferenceIsTakenAndSaid() {
    SubjectVerdict verdict = of(TWO, new Proportion(56, 70), new Proportion(48, 80));
    assertThat(verdict.better()).as("the first was better").isZero();
    // The same shares the other way round. Newcombe 1998, table II, row (a), method 10:
    // 56/70 less 48/80 is 0.2, 95% interval 0.0524 to 0.3339.
    verdict = of(TWO, new Proportion(48, 80), new Proportion(56, 70));
    assertThat(verdict.better()).isOne();
    assertThat(verdict.difference().orElseThrow().low()).isCloseTo(0.0524, within(5e-5));
    assertThat(verdict.difference().orElseThrow().high()).isCloseTo(0.3339, within(5e-5));
    assertThat(verdict.sentence())
        .isEqualTo(
            "\u201cHives\u201d was opened by 80.0%, the first by 60.0%: +20.0 points (95% interval"
                + " +5.2 to +33.4). That is a difference (p = 0.008): the rest get it.");
  }

  @Test
  void whatCouldBeChanceLeavesTheFirst() {
    SubjectVerdict verdict = of(TWO, new Proportion(30, 100), new Proportion(34, 100));
    assertThat(verdict.better()).isZero();
    assertThat(verdict.sentence())
        .contains("That could be chance")
        .endsWith("so the rest get the first, \u201cFrames\u201d.");
  }

  @Test
  void theMoreAreComparedTheMoreItTakes() {
    Proportion first = new Proportion(300, 1000);
    Proportion better = new Proportion(344, 1000);
    Proportion same = new Proportion(300, 1000);
    assertThat(of(TWO, first, better).better()).isOne();
    SubjectVerdict among = of(FOUR, first, same, better, same);
    assertThat(among.better()).as("adjusted for three").isZero();
    assertThat(among.sentence()).contains("among 3 compared with the first");
  }

  @Test
  void nobodyReachedIsNoVerdict() {
    SubjectVerdict verdict = of(TWO, new Proportion(0, 0), new Proportion(3, 4));
    assertThat(verdict.better()).isZero();
    assertThat(verdict.difference()).isEmpty();
    assertThat(verdict.sentence()).contains("nothing to compare").endsWith("\u201cFrames\u201d.");
    assertThatThrownBy(() -> of(TWO, new Proportion(1, 2)))
        .isInstanceOf(IllegalArgumentException.class);
  }

  /** Where all subjects are the same, another than the first is chosen in at most 1 of 40. */
  @Test
  void subjectsThatDoNotDifferLeaveTheFirst() {
    SplittableRandom random = new SplittableRandom(20);
    long others =
        IntStream.range(0, 4_000)
            .filter(
                n -> {
                  Proportion[] shares = new Proportion[4];
                  for (int i = 0; i < shares.length; i++) {
                    shares[i] =
                        new Proportion(
                            IntStream.range(0, 200).filter(k -> random.nextDouble() < 0.3).count(),
                            200);
                  }
                  return of(FOUR, shares).better() > 0;
                })
            .count();
    // Two-sided at 5% over all: half of it lies above. Three standard errors on top.
    assertThat(others).isLessThan(4_000 / 40 + 30).isPositive();
  }
}
