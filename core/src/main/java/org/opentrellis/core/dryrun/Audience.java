package org.opentrellis.core.dryrun;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.random.Draws;
import org.opentrellis.core.random.QuantileTable;

/** The audience groups made ready to draw people from. Immutable. */
final class Audience {
  /** Days of the background chances, which are given per 30 days. */
  private static final double CHANCE_SECONDS = 30 * 86_400.0;

  /**
   * One group, ready.
   *
   * @param upTo cumulative share
   * @param keenness its quantiles
   * @param brings tags and lists that its people have before they come
   * @param buysAnywayMeanSeconds mean time to a purchase without email; infinite if none
   * @param comesAgainMeanSeconds mean time to the next trigger; infinite if none
   */
  record Ready(
      AudienceGroup group,
      double upTo,
      QuantileTable keenness,
      BitSet brings,
      double buysAnywayMeanSeconds,
      double comesAgainMeanSeconds) {}

  private final List<Ready> groups = new ArrayList<>();
  private final int[] triggerMarks;

  Audience(Behaviour behaviour, Program program) {
    double upTo = 0;
    for (AudienceGroup group : behaviour.groups()) {
      upTo += group.share();
      groups.add(
          new Ready(
              group,
              upTo,
              QuantileTable.beta(group.keenness().alpha(), group.keenness().beta()),
              brings(group, program),
              meanSeconds(group.buysAnyway().value()),
              meanSeconds(group.comesAgain().value())));
    }
    triggerMarks =
        program.journey().triggers().stream().mapToInt(t -> markOf(t, program)).toArray();
  }

  Ready groupOf(long key) {
    double u = Draws.uniform(key, Purposes.GROUP);
    for (Ready ready : groups) {
      if (u < ready.upTo()) {
        return ready;
      }
    }
    return groups.get(groups.size() - 1);
  }

  /** Which tag or list brings this person in; -1 if they are put in by hand. */
  int triggerMark(long key) {
    if (triggerMarks.length == 0) {
      return -1;
    }
    return triggerMarks[(int) (Draws.uniform(key, Purposes.TRIGGER) * triggerMarks.length)];
  }

  private static int markOf(Trigger trigger, Program program) {
    OptionalInt mark =
        trigger instanceof Trigger.JoinsList joins
            ? program.mark(joins.list())
            : program.mark(((Trigger.GetsTag) trigger).tag());
    return mark.orElseThrow();
  }

  private static BitSet brings(AudienceGroup group, Program program) {
    BitSet marks = new BitSet();
    Stream.concat(
            group.tags().stream().map(program::mark), group.lists().stream().map(program::mark))
        .flatMapToInt(mark -> mark.isPresent() ? IntStream.of(mark.getAsInt()) : IntStream.empty())
        .forEach(marks::set);
    return marks;
  }

  /** The mean of the exponential that happens within 30 days with this chance. */
  private static double meanSeconds(double chance) {
    return chance == 0 ? Double.POSITIVE_INFINITY : -CHANCE_SECONDS / Math.log1p(-chance);
  }
}
