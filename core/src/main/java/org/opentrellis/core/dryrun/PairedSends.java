package org.opentrellis.core.dryrun;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.Sent;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.machine.Witness;
import org.opentrellis.core.stats.PairedRatios;

/**
 * Follows the same people through two runs and counts, for pairs of messages of one and the other,
 * how what each person did in one goes with what they did in the other.
 */
public final class PairedSends {
  /** What is counted of a person at a message, by place. */
  public enum Count {
    ENTERED,
    REACHED,
    DELIVERED,
    OPENED,
    OPENED_BY_PEOPLE,
    CLICKED,
    UNSUBSCRIBED,
    BOUGHT
  }

  private static final int COUNTS = Count.values().length;

  /** A message of each run, by the id of the step that sends it. */
  public record Pair(String first, String second) {}

  private final List<Pair> pairs;

  /** By pair: sums, squares within each run, and products across. */
  private final long[][] sums;

  private PairedSends(List<Pair> pairs) {
    this.pairs = List.copyOf(pairs);
    sums = new long[pairs.size()][2 * COUNTS + 3 * COUNTS * COUNTS];
  }

  /**
   * @param first one run, and which of its journeys
   * @param second another of the same people
   * @throws RunCancelled if the control says so
   */
  public static PairedSends of(
      DryRun first,
      int firstJourney,
      DryRun second,
      int secondJourney,
      List<Pair> pairs,
      Effort effort) {
    if (first.settings().people() != second.settings().people()) {
      throw new IllegalArgumentException("paired runs need the same people");
    }
    return Chunks.run(
            first.settings().people(),
            effort,
            () ->
                new Part(
                    new Side(first, firstJourney, pairs.stream().map(Pair::first).toList()),
                    new Side(second, secondJourney, pairs.stream().map(Pair::second).toList()),
                    new PairedSends(pairs)))
        .stream()
        .map(Part::sends)
        .reduce(PairedSends::plus)
        .orElseThrow();
  }

  /** What one thread counts. */
  private record Part(Side one, Side two, PairedSends sends) implements Chunks.Worker {
    @Override
    public void take(int person) {
      long[][] of = one.of(person);
      long[][] with = two.of(person);
      if (of != null && with != null) {
        for (int pair = 0; pair < of.length; pair++) {
          add(of[pair], with[pair], sends.sums[pair]);
        }
      }
    }
  }

  private PairedSends plus(PairedSends others) {
    for (int pair = 0; pair < sums.length; pair++) {
      StepTally.add(sums[pair], others.sums[pair]);
    }
    return this;
  }

  private static void add(long[] one, long[] two, long[] to) {
    int square = COUNTS * COUNTS;
    for (int i = 0; i < COUNTS; i++) {
      to[i] += one[i];
      to[COUNTS + i] += two[i];
      for (int j = 0; j < COUNTS; j++) {
        int at = 2 * COUNTS + i * COUNTS + j;
        to[at] += one[i] * one[j];
        to[at + square] += two[i] * two[j];
        to[at + 2 * square] += one[i] * two[j];
      }
    }
  }

  /**
   * One share of a pair's two messages, of the same people.
   *
   * @param of the numerator
   * @param among the denominator
   */
  public PairedRatios ratios(Pair pair, Count of, Count among) {
    long[] from = sums[pairs.indexOf(pair)];
    int n = of.ordinal();
    int d = among.ordinal();
    int square = COUNTS * COUNTS;
    int first = 2 * COUNTS;
    int second = first + square;
    int across = second + square;
    int nn = n * COUNTS + n;
    int nd = n * COUNTS + d;
    int dn = d * COUNTS + n;
    int dd = d * COUNTS + d;
    return new PairedRatios(
        from[n],
        from[d],
        from[first + nn],
        from[first + nd],
        from[first + dd],
        from[COUNTS + n],
        from[COUNTS + d],
        from[second + nn],
        from[second + nd],
        from[second + dd],
        from[across + nn],
        from[across + nd],
        from[across + dn],
        from[across + dd]);
  }

  /** One run's people, one after another. */
  private static final class Side implements Witness {
    private final DryRun run;
    private final Program program;
    private final PeopleRunner lives;
    private final int[] sends;
    private final long[][] counts;
    private final Map<Integer, Integer> reached = new HashMap<>();
    private final long[] timesReached;

    Side(DryRun run, int journey, List<String> steps) {
      this.run = run;
      program = run.world().programs().get(journey);
      lives = run.lives(this);
      sends = new int[steps.size()];
      counts = new long[steps.size()][COUNTS];
      timesReached = new long[program.steps().size()];
      for (int i = 0; i < sends.length; i++) {
        int node = node(steps.get(i));
        reached.put(i, node);
        sends[i] = program.sendOf(program.steps().get(node).id());
      }
    }

    private int node(String step) {
      for (int node = 0; node < program.steps().size(); node++) {
        if (program.steps().get(node).id().value().equals(step)) {
          return node;
        }
      }
      throw new IllegalArgumentException("no step " + step + " in " + program.journey().name());
    }

    @Override
    public void entered(int step, Visit visit) {
      if (visit.program() == program) {
        timesReached[step]++;
      }
    }

    /** What one person did; null if they are held out. */
    long @Nullable [][] of(int number) {
      Arrays.fill(timesReached, 0);
      Person person = lives.unlessHeldOut(number, run.settings().holdOut());
      if (person == null) {
        return null;
      }
      for (int i = 0; i < sends.length; i++) {
        Arrays.fill(counts[i], 0);
        counts[i][Count.REACHED.ordinal()] = timesReached[reached.get(i)];
      }
      for (int n = 0; n < person.visitCount(); n++) {
        Visit visit = person.visit(n);
        if (visit.program() == program) {
          add(visit, person.endsAt());
        }
      }
      return counts;
    }

    private void add(Visit visit, long end) {
      for (int i = 0; i < sends.length; i++) {
        long[] of = counts[i];
        of[Count.ENTERED.ordinal()]++;
        Sent message = visit.sent(sends[i]);
        if (message.at() <= end && message.deliveredAt() <= end) {
          of[Count.DELIVERED.ordinal()]++;
          of[Count.OPENED.ordinal()] += message.recordedOpenAt() <= end ? 1 : 0;
          of[Count.OPENED_BY_PEOPLE.ordinal()] += message.peopleOpenAt() <= end ? 1 : 0;
          of[Count.CLICKED.ordinal()] += message.clickAt() <= end ? 1 : 0;
          of[Count.BOUGHT.ordinal()] += message.orderAt() <= end ? 1 : 0;
        }
      }
      int by = visit.unsubscribedBy(end);
      for (int i = 0; by >= 0 && i < sends.length; i++) {
        counts[i][Count.UNSUBSCRIBED.ordinal()] += sends[i] == by ? 1 : 0;
      }
    }
  }
}
