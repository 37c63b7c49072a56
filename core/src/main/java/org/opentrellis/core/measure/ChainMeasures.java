package org.opentrellis.core.measure;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.dryrun.ChainTally;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.stats.Confidence;
import org.opentrellis.core.stats.Interval;
import org.opentrellis.core.stats.Newcombe;
import org.opentrellis.core.stats.Pairs;

/**
 * An email and its further tries, read as one.
 *
 * @param steps that send it, the first try first
 * @param openedFirst recorded opens of the first try, of those who got it
 * @param openedAny opened any of the tries, of those who got the first
 * @param openedAnyByPeople the same without machine pre-loads
 * @param clickedAny clicked in any of them, of those who got the first
 * @param lift openedAny less openedFirst, of the same people; null if nobody got the first
 * @param moreEmails further tries for each who got the first; null if nobody did
 */
public record ChainMeasures(
    List<String> steps,
    Share openedFirst,
    Share openedAny,
    Share openedAnyByPeople,
    Share clickedAny,
    @Nullable Estimated lift,
    @Nullable Double moreEmails) {

  static ChainMeasures of(ChainTally tally, Program program) {
    List<String> steps = new ArrayList<>();
    for (int n = 0; n < tally.sends().length; n++) {
      steps.add(tally.step(program, n));
    }
    long first = tally.deliveredFirst();
    return new ChainMeasures(
        steps,
        Share.of(tally.openedFirst(), first),
        Share.of(tally.openedAny(), first),
        Share.of(tally.openedAnyByPeople(), first),
        Share.of(tally.clickedAny(), first),
        first == 0 ? null : lift(tally),
        first == 0 ? null : (double) tally.moreSent() / first);
  }

  /** Who opened the first has opened any, so only gains count. */
  private static Estimated lift(ChainTally tally) {
    long gained = tally.openedAny() - tally.openedFirst();
    Pairs pairs =
        new Pairs(tally.openedFirst(), gained, 0, tally.deliveredFirst() - tally.openedAny());
    Interval interval = Newcombe.paired(pairs, Confidence.NINETY_FIVE);
    return new Estimated(
        (double) gained / tally.deliveredFirst(), interval.low(), interval.high(), null);
  }
}
