package org.opentrellis.bench;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.IntStream;
import org.opentrellis.core.stats.TimeBuckets;

/**
 * What is to be found out about W6, in plain arrays, as a program for this one journey would keep
 * it: when people got to each step, where they stand, what they do with each email, how and when it
 * ends, and which way they went. Whoever counts in it says what time it is, once for all that
 * happens then.
 */
final class Ledger {
  /** How a visit can end. */
  enum End {
    FINISHED,
    GOAL_MET,
    UNSUBSCRIBED
  }

  /** How somebody went on from a branch; nothing if they did not. */
  static final int NO_WAY = 0;

  private static final int WAYS = 3;
  static final int WAYS_IN_ALL = WAYS * WAYS * End.values().length * Reference.STEPS;
  private static final int DAY = (int) Reference.DAY;
  private static final int QUARTERS = 96;
  private static final int QUARTER = DAY / QUARTERS;
  private static final int HOUR = 3600;

  /** Days since entry that can be told apart. */
  private static final int DAYS = Reference.HORIZON_DAYS + 2;

  private final int[] byDay = new int[Reference.STEPS * DAYS];
  private final int[] byQuarter = new int[Reference.STEPS * QUARTERS];
  private final int[] sinceEntry = new int[Reference.STEPS * TimeBuckets.BUCKETS];
  private final int[] stays = new int[Reference.STEPS * DAYS];
  private final int[] opened = new int[Reference.EMAILS];
  private final int[] clicked = new int[Reference.EMAILS];
  private final int[] clickedByLink = new int[Reference.EMAILS * Reference.LINKS];
  private final int[] ordered = new int[Reference.EMAILS];
  private final Sums revenue = new Sums();
  private final int[] unsubscribed = new int[Reference.EMAILS];
  private final int[] emailsByHour = new int[24 * (DAYS + Reference.ARRIVAL_DAYS)];
  private final int[] emailsByDay = new int[DAYS];
  private final int[] emailsPerVisit = new int[Reference.EMAILS + 1];
  private final int[] mostInAWeek = new int[Reference.EMAILS + 1];
  private final int[] triesOpened = new int[1];
  private final int[] triesClicked = new int[1];
  private final int[] buyers = new int[1];
  private final Sums orders = new Sums();
  private final Sums cents = new Sums();
  private final Sums emails = new Sums();
  private final int[] goalTimes = new int[TimeBuckets.BUCKETS];
  private final int[] endsByDay = new int[End.values().length * DAYS];
  private final int[] ways = new int[WAYS_IN_ALL];

  private int day;
  private int quarter;
  private int bucket;
  private int hour;
  private int daysPassed;
  private int daysReached;

  /**
   * It is this time for somebody.
   *
   * @param cameAt seconds since midnight before the first of them came
   * @param since seconds since they came
   */
  void time(long cameAt, long since) {
    int local = (int) (cameAt + since);
    int dayNow = local / DAY;
    day = dayNow - (int) cameAt / DAY;
    quarter = (local - dayNow * DAY) / QUARTER;
    hour = local / HOUR;
    bucket = TimeBuckets.index(since);
    daysPassed = (int) since / DAY;
    daysReached = ((int) since + DAY - 1) / DAY;
  }

  /** How many whole days have passed when the day that has begun since entry is over. */
  int daysReached() {
    return daysReached;
  }

  void arrives(int step) {
    byDay[step * DAYS + day]++;
    byQuarter[step * QUARTERS + quarter]++;
    sinceEntry[step * TimeBuckets.BUCKETS + bucket]++;
  }

  void emailGoesOut() {
    emailsByHour[hour]++;
    emailsByDay[daysPassed]++;
  }

  /** Somebody who stood at a step since some day goes on. */
  void stayed(int step, int from) {
    if (from < daysReached) {
      stays[step * DAYS + from]++;
      stays[step * DAYS + daysReached]--;
    }
  }

  void opens(int email) {
    opened[email]++;
  }

  void clicks(int email, int link) {
    clicked[email]++;
    clickedByLink[email * Reference.LINKS + link]++;
  }

  /** Somebody orders because of an email. */
  void orders(int email, long worth) {
    ordered[email]++;
    revenue.grows(0, worth);
  }

  /** Somebody opens one of two tries of an email for the first time. */
  void opensATry() {
    triesOpened[0]++;
  }

  void clicksInATry() {
    triesClicked[0]++;
  }

  /**
   * Somebody buys, for whatever reason.
   *
   * @param before how often they did so before, and for how much
   */
  void buys(int before, long centsBefore, long worth) {
    buyers[0] += before == 0 ? 1 : 0;
    orders.grows(before, 1);
    cents.grows(centsBefore, worth);
  }

  void unsubscribes(int email) {
    unsubscribed[email]++;
  }

  void meetsGoal() {
    goalTimes[bucket]++;
  }

  /**
   * A visit ends at a step, after some ways at the two branches.
   *
   * @param sentAt seconds since they came when each email went out
   * @param count of those emails
   */
  void ends(End how, int step, int first, int second, long[] sentAt, int count) {
    emailsPerVisit[count]++;
    emails.grows(0, count);
    mostInAWeek[mostWithin(7L * DAY, sentAt, count)]++;
    endsByDay[how.ordinal() * DAYS + daysReached]++;
    ways[wayOf(how, step, first, second)]++;
  }

  private static int mostWithin(long seconds, long[] sentAt, int count) {
    int first = 0;
    for (int last = 0; last < count; last++) {
      if (sentAt[first] <= sentAt[last] - seconds) {
        first++;
      }
    }
    return count - first;
  }

  static int wayOf(End how, int step, int first, int second) {
    return ((first * WAYS + second) * End.values().length + how.ordinal()) * Reference.STEPS + step;
  }

  Counts counts() {
    Map<String, long[]> all = new LinkedHashMap<>();
    all.put("entered by day", wide(byDay));
    all.put("entered by quarter of the day", wide(byQuarter));
    all.put("entered by time since entry", wide(sinceEntry));
    all.put("standing by day", standing());
    all.put("opened", wide(opened));
    all.put("clicked", wide(clicked));
    all.put("clicked by link", wide(clickedByLink));
    all.put("ordered", wide(ordered));
    all.put("unsubscribed", wide(unsubscribed));
    all.put("emails by hour", wide(emailsByHour));
    all.put("emails by day since entry", wide(emailsByDay));
    all.put("time to the goal", wide(goalTimes));
    all.put("ended by day", wide(endsByDay));
    all.put("ways", wide(ways));
    all.put("emails of a visit", wide(emailsPerVisit));
    all.put("most emails in a week", wide(mostInAWeek));
    all.put("opened one of two tries", wide(triesOpened));
    all.put("clicked in one of two tries", wide(triesClicked));
    all.put("bought", wide(buyers));
    return new Counts(
        all, Map.of("orders", orders, "cents", cents, "emails", emails, "revenue", revenue));
  }

  private long[] standing() {
    long[] standing = wide(stays);
    IntStream.range(0, standing.length)
        .filter(i -> i % DAYS > 0)
        .forEach(i -> standing[i] += standing[i - 1]);
    return standing;
  }

  private static long[] wide(int[] counts) {
    return Arrays.stream(counts).asLongStream().toArray();
  }
}
