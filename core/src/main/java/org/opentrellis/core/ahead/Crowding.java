package org.opentrellis.core.ahead;

import java.time.DayOfWeek;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Who gets more than one email on a day, or more than enough in a week. Of newsletters it is known
 * who gets them; what people who are inside of journeys get besides was drawn several times.
 * Mutable; people go by their numbers, lanes by theirs.
 */
public final class Crowding {
  private static final int FEW = 5;
  private static final long UNKNOWN = -1;

  private final Days days;
  private final int enoughInAWeek;

  /** By day and person, how many newsletters; null on a day without. */
  private final byte[][] newsletters;

  private final List<List<Newsletter>> onDay = new ArrayList<>();
  private final BitSet inside;
  private final List<Insider> insiders = new ArrayList<>();
  private final double[] crowded;
  private final long[] outside;
  private final double[] crowdedOff;
  private final double[] full;
  private final double[] fullOff;
  private final int[] weekOf;
  private final int weeks;
  private final List<Map<Pair, Double>> pairs = new ArrayList<>();

  private record Newsletter(int lane, BitSet people) {}

  /** Two lanes whose emails meet, the smaller number first. */
  private record Pair(int one, int other) {
    static Pair of(int one, int other) {
      return new Pair(Math.min(one, other), Math.max(one, other));
    }
  }

  /**
   * Two lanes whose emails the same people get on one day.
   *
   * @param people how many
   */
  public record Meeting(int one, int other, double people) {}

  /**
   * @param inside all who are inside of journeys; those of them are told by {@link #goesOn}
   * @param enoughInAWeek so many emails in a week are enough
   */
  public Crowding(Days days, BitSet inside, int enoughInAWeek) {
    this.days = days;
    this.inside = inside;
    this.enoughInAWeek = enoughInAWeek;
    newsletters = new byte[days.count()][];
    crowded = new double[days.count()];
    crowdedOff = new double[days.count()];
    outside = new long[days.count()];
    Arrays.fill(outside, UNKNOWN);
    weekOf = new int[days.count()];
    for (int day = 0; day < days.count(); day++) {
      onDay.add(new ArrayList<>());
      pairs.add(new HashMap<>());
      weekOf[day] =
          (int)
              ((days.first()
                          .plusDays(day)
                          .with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY))
                          .toEpochDay()
                      - monday())
                  / 7);
    }
    weeks = weekOf[days.count() - 1] + 1;
    full = new double[weeks];
    fullOff = new double[weeks];
  }

  private long monday() {
    return days.first().with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY)).toEpochDay();
  }

  /** A newsletter goes to some people on a day; all of them before the first that goes on. */
  public void newsletter(int lane, int day, BitSet people) {
    byte[] of = newsletters[day];
    int length = people.length();
    if (of == null || of.length < length) {
      byte[] longer = new byte[Math.max(length, of == null ? 0 : of.length)];
      if (of != null) {
        System.arraycopy(of, 0, longer, 0, of.length);
      }
      newsletters[day] = longer;
      of = longer;
    }
    for (int one = people.nextSetBit(0); one >= 0; one = people.nextSetBit(one + 1)) {
      of[one]++;
    }
    onDay.get(day).add(new Newsletter(lane, people));
    outside[day] = UNKNOWN;
  }

  /** An email that somebody gets on a day from a journey. */
  public record Got(int lane, int day) {}

  /**
   * Somebody who is inside, and what they get.
   *
   * @param emails from journeys, by draw and day
   */
  private record Insider(int person, double weight, int draws, byte[] emails) {}

  /**
   * Somebody who is inside goes on.
   *
   * @param weight how many they stand for
   * @param draws what they get from journeys, as often as it was drawn
   */
  public void goesOn(int person, double weight, List<List<Got>> draws) {
    byte[] emails = new byte[draws.size() * days.count()];
    double[] onDays = new double[days.count()];
    double[] inWeeks = new double[weeks];
    double each = 1.0 / draws.size();
    for (int draw = 0; draw < draws.size(); draw++) {
      for (Got one : draws.get(draw)) {
        emails[draw * days.count() + one.day()]++;
      }
      int[] week = new int[weeks];
      for (int day = 0; day < days.count(); day++) {
        int got = emails[draw * days.count() + day] + newsletters(day, person);
        week[weekOf[day]] += got;
        if (got > 1) {
          onDays[day] += each;
          meet(day, lanes(person, day, draws.get(draw)), weight * each);
        }
      }
      for (int n = 0; n < weeks; n++) {
        inWeeks[n] += week[n] > enoughInAWeek ? each : 0;
      }
    }
    insiders.add(new Insider(person, weight, draws.size(), emails));
    for (int day = 0; day < days.count(); day++) {
      crowded[day] += weight * onDays[day];
      crowdedOff[day] += off(weight, onDays[day]);
    }
    for (int n = 0; n < weeks; n++) {
      full[n] += weight * inWeeks[n];
      fullOff[n] += off(weight, inWeeks[n]);
    }
  }

  private List<Integer> lanes(int person, int day, List<Got> got) {
    List<Integer> lanes = new ArrayList<>();
    got.stream().filter(one -> one.day() == day).forEach(one -> lanes.add(one.lane()));
    onDay.get(day).stream()
        .filter(one -> one.people().get(person))
        .forEach(one -> lanes.add(one.lane()));
    return lanes;
  }

  private static double off(double weight, double share) {
    return weight * share * (1 - share) + weight * (weight - 1) * share * share;
  }

  private int newsletters(int day, int person) {
    byte[] of = newsletters[day];
    return of != null && person < of.length ? of[person] : 0;
  }

  /**
   * How many would get more than one email on a day, if one newsletter went on another.
   *
   * @param without whom a newsletter of this day does not go to any more
   * @param with whom one goes to that went on another day
   */
  public double onIf(int day, BitSet without, BitSet with) {
    int length = Math.max(newsletters[day] == null ? 0 : newsletters[day].length, with.length());
    double people = 0;
    for (int one = 0; one < length; one++) {
      people += !inside.get(one) && newslettersIf(day, one, without, with) > 1 ? 1 : 0;
    }
    for (Insider one : insiders) {
      int got = newslettersIf(day, one.person(), without, with);
      int times = 0;
      for (int draw = 0; draw < one.draws(); draw++) {
        times += one.emails()[draw * days.count() + day] + got > 1 ? 1 : 0;
      }
      people += one.weight() * times / one.draws();
    }
    return people;
  }

  private int newslettersIf(int day, int person, BitSet without, BitSet with) {
    return newsletters(day, person) - (without.get(person) ? 1 : 0) + (with.get(person) ? 1 : 0);
  }

  private void meet(int day, List<Integer> lanes, double people) {
    for (int one = 0; one < lanes.size(); one++) {
      for (int other = one + 1; other < lanes.size(); other++) {
        pairs.get(day).merge(Pair.of(lanes.get(one), lanes.get(other)), people, Double::sum);
      }
    }
  }

  /** How many get more than one email on a day. */
  public Outlook.Expected on(int day) {
    return Outlook.Expected.of(crowded[day] + outside(day), crowdedOff[day]);
  }

  /** Of those who are not inside; counted once for each day, once all newsletters are known. */
  private long outside(int day) {
    if (outside[day] == UNKNOWN) {
      outside[day] = countOutside(day);
    }
    return outside[day];
  }

  private long countOutside(int day) {
    byte[] of = newsletters[day];
    if (of == null || onDay.get(day).size() < 2) {
      return 0;
    }
    long count = 0;
    for (int one = 0; one < of.length; one++) {
      count += of[one] > 1 && !inside.get(one) ? 1 : 0;
    }
    return count;
  }

  /** How many weeks there are, the first and last perhaps in part. */
  public int weeks() {
    return weeks;
  }

  /** How many get more than enough in a week, from 0, counted from Monday. */
  public Outlook.Expected inWeek(int week) {
    return Outlook.Expected.of(full[week] + outsideInWeek(week), fullOff[week]);
  }

  private long outsideInWeek(int week) {
    int longest = 0;
    for (int day = 0; day < days.count(); day++) {
      longest =
          weekOf[day] == week && newsletters[day] != null
              ? Math.max(longest, newsletters[day].length)
              : longest;
    }
    int[] got = new int[longest];
    for (int day = 0; day < days.count(); day++) {
      byte[] of = newsletters[day];
      for (int one = 0; weekOf[day] == week && of != null && one < of.length; one++) {
        got[one] += of[one];
      }
    }
    long count = 0;
    for (int one = 0; one < longest; one++) {
      count += got[one] > enoughInAWeek && !inside.get(one) ? 1 : 0;
    }
    return count;
  }

  /** Which emails meet on a day, those that meet at most people first. */
  public List<Meeting> meetings(int day) {
    Map<Pair, Double> all = new HashMap<>(pairs.get(day));
    List<Newsletter> some = onDay.get(day);
    for (int one = 0; one < some.size(); one++) {
      for (int other = one + 1; other < some.size(); other++) {
        BitSet both = (BitSet) some.get(one).people().clone();
        both.and(some.get(other).people());
        both.andNot(inside);
        if (!both.isEmpty()) {
          all.merge(
              Pair.of(some.get(one).lane(), some.get(other).lane()),
              (double) both.cardinality(),
              Double::sum);
        }
      }
    }
    return all.entrySet().stream()
        .map(pair -> new Meeting(pair.getKey().one(), pair.getKey().other(), pair.getValue()))
        .sorted(
            Comparator.comparingDouble(Meeting::people)
                .reversed()
                .thenComparing(Meeting::one)
                .thenComparing(Meeting::other))
        .limit(FEW)
        .toList();
  }
}
