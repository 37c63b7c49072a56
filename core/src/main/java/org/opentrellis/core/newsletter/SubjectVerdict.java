package org.opentrellis.core.newsletter;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.opentrellis.core.sentence.Style;
import org.opentrellis.core.stats.Confidence;
import org.opentrellis.core.stats.Holm;
import org.opentrellis.core.stats.Interval;
import org.opentrellis.core.stats.Newcombe;
import org.opentrellis.core.stats.Points;
import org.opentrellis.core.stats.Proportion;
import org.opentrellis.core.stats.TwoShares;

/**
 * Which of the subjects goes to the rest: the first, unless another did better than it by more than
 * chance. Each of the others is compared with the first (Pearson's test of two shares, adjusted by
 * Holm's method for how many there are); of those that are better, the best goes.
 *
 * @param better the number of the subject, from 0
 * @param shares of each subject, who opened or clicked of those who got it
 * @param difference the better one less the first, or the best of the others less the first if the
 *     first goes, with its 95% interval; empty where nobody got one of them
 * @param sentence what was found and what goes out, to be read aloud
 */
public record SubjectVerdict(
    int better, List<Proportion> shares, Optional<Interval> difference, String sentence) {
  /** A difference is called one when chance alone would bring it about more rarely than this. */
  private static final double ALPHA = 0.05;

  public SubjectVerdict {
    shares = List.copyOf(shares);
  }

  /**
   * @param subjects as they were sent, the first first
   * @param shares of each, in the same order
   */
  public static SubjectVerdict of(
      List<String> subjects, List<Proportion> shares, SubjectTest.By by) {
    if (subjects.size() != shares.size() || subjects.size() < 2) {
      throw new IllegalArgumentException("a share for each of two or more subjects is needed");
    }
    if (shares.stream().anyMatch(share -> share.of() == 0)) {
      return new SubjectVerdict(
          0,
          shares,
          Optional.empty(),
          "Not every subject reached somebody, so there is nothing to compare: the rest get %s."
              .formatted(Style.quoted(subjects.getFirst())));
    }
    double[] p = new double[shares.size() - 1];
    int best = 1;
    for (int n = 1; n < shares.size(); n++) {
      p[n - 1] = TwoShares.pValue(TwoShares.z(shares.get(n), shares.getFirst()));
      best = share(shares.get(n)) > share(shares.get(best)) ? n : best;
    }
    double adjusted = Holm.adjust(p)[best - 1];
    boolean above = share(shares.get(best)) > share(shares.getFirst());
    boolean isBetter = above && adjusted <= ALPHA;
    Interval difference =
        Newcombe.independent(shares.get(best), shares.getFirst(), Confidence.NINETY_FIVE);
    return new SubjectVerdict(
        isBetter ? best : 0,
        shares,
        Optional.of(difference),
        sentence(subjects, shares, by, best, isBetter, above, difference, adjusted));
  }

  private static String sentence(
      List<String> subjects,
      List<Proportion> shares,
      SubjectTest.By by,
      int best,
      boolean isBetter,
      boolean above,
      Interval difference,
      double p) {
    String did = by == SubjectTest.By.OPENED ? "opened" : "clicked";
    String figures =
        "%s was %s by %s, the first by %s: %s points (95%% interval %s to %s)."
            .formatted(
                Style.quoted(subjects.get(best)),
                did,
                shares.get(best).inWords(),
                shares.getFirst().inWords(),
                Points.signed(100 * (share(shares.get(best)) - share(shares.getFirst()))),
                Points.signed(100 * difference.low()),
                Points.signed(100 * difference.high()));
    String chance = p < 0.001 ? "p < 0.001" : String.format(Locale.ROOT, "p = %.3f", p);
    if (shares.size() > 2) {
      chance += " among %d compared with the first".formatted(shares.size() - 1);
    }
    String then;
    if (isBetter) {
      then = "That is a difference (%s): the rest get it.".formatted(chance);
    } else if (above) {
      then =
          "That could be chance (%s), so the rest get the first, %s."
              .formatted(chance, Style.quoted(subjects.getFirst()));
    } else {
      then =
          "None did better than the first: the rest get %s."
              .formatted(Style.quoted(subjects.getFirst()));
    }
    return figures + " " + then;
  }

  private static double share(Proportion share) {
    return share.value().orElse(0);
  }
}
