package org.opentrellis.core.dryrun;

import java.util.Arrays;
import java.util.stream.IntStream;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Program;

/**
 * What is known of somebody in a plain journey, and of nobody else's. Times are epoch seconds,
 * {@link Person#NEVER} where something does not happen. Mutable and reused, for speed.
 */
abstract class PlainLife implements Course {
  private static final int FEW_PURCHASES = 4;

  /** The trigger's position in the journey, or -1. */
  int trigger;

  /** The clock that the journey's times are read on. */
  ZoneClock clock;

  long entryAt;
  long entryDay;
  long endsAt;
  long now;
  boolean over;
  private long pathKey;

  /** Up to which day since entry it has been counted where they stand. */
  int counted;

  long unsubscribesAt;
  int unsubscribesBy;
  long complainsAt;
  long goalAt;

  /** The earliest of what makes them lost for all journeys. */
  long goneAt;

  /** The earliest of all that takes them out. */
  long outAt;

  /** Their tags and lists, as bits. */
  long labels;

  /** Those that they have ever had. */
  long hadLabels;

  /** What became of each email, by its number among the sends. */
  final PlainMail[] mails;

  int sends;
  int sendsBack;

  /** What went out, in order. */
  private final int[] order;

  private final long[] inOrder;

  /** As in the machine's memory: where the week with the most emails so far would begin. */
  private int weekFrom;

  private int purchases;
  private long[] boughtAt = new long[FEW_PURCHASES];
  private int[] offers = new int[FEW_PURCHASES];
  private long[] cents = new long[FEW_PURCHASES];

  /**
   * @param anyClock until somebody comes
   */
  PlainLife(Program program, ZoneClock anyClock) {
    clock = anyClock;
    int count = program.sends().size();
    mails =
        IntStream.range(0, count)
            .mapToObj(send -> new PlainMail(program.tracksOpens(send)))
            .toArray(PlainMail[]::new);
    order = new int[count];
    inOrder = new long[count];
  }

  /** Somebody comes by a trigger, to be looked at until some moment. */
  final void begin(int by, long at, long until, ZoneClock on) {
    for (int n = 0; n < sends; n++) {
      mails[order[n]].forget();
    }
    trigger = by;
    clock = on;
    entryAt = at;
    entryDay = on.day(at);
    endsAt = until;
    now = at;
    over = false;
    pathKey = 0;
    counted = 0;
    unsubscribesAt = Person.NEVER;
    complainsAt = Person.NEVER;
    goalAt = Person.NEVER;
    goneAt = Person.NEVER;
    outAt = Person.NEVER;
    sends = 0;
    sendsBack = 0;
    weekFrom = 0;
    purchases = 0;
  }

  /** Something makes them lost for all journeys at a moment. */
  final void isGone(long at) {
    goneAt = Math.min(goneAt, at);
    outAt = Math.min(outAt, at);
  }

  /** Adds a turn to what their way is told by. */
  final void note(int step, int turn) {
    pathKey = JourneyCounter.turned(pathKey, step, turn);
  }

  /** An email goes out now. */
  final void sends(int send) {
    int place = sends++;
    order[place] = send;
    inOrder[place] = now;
    // Adds 1 if that time is not after the other; without a jump, which would often go wrong.
    weekFrom += (int) (inOrder[weekFrom] - (now - Person.WEEK) - 1 >>> 63);
  }

  /** How many emails of the last seven days went out. */
  final int emailsOfTheWeek() {
    long from = now - Person.WEEK;
    int first = sends;
    while (first > 0 && inOrder[first - 1] > from) {
      first--;
    }
    return sends - first;
  }

  /** As {@link Person#mostEmailsInAWeek}. */
  final int mostEmailsInAWeek() {
    return sends - weekFrom;
  }

  /** Notes a purchase at its place in time. */
  final void notePurchase(long at, int offer, long worth) {
    int place = purchases++;
    if (place == boughtAt.length) {
      boughtAt = Arrays.copyOf(boughtAt, 2 * place);
      offers = Arrays.copyOf(offers, 2 * place);
      cents = Arrays.copyOf(cents, 2 * place);
    }
    while (place > 0 && boughtAt[place - 1] > at) {
      boughtAt[place] = boughtAt[place - 1];
      offers[place] = offers[place - 1];
      cents[place] = cents[place - 1];
      place--;
    }
    boughtAt[place] = at;
    offers[place] = offer;
    cents[place] = worth;
  }

  final int offer(int n) {
    return offers[n];
  }

  @Override
  public final long entryAt() {
    return entryAt;
  }

  @Override
  public final long end() {
    return endsAt;
  }

  @Override
  public final long until() {
    return over ? now : endsAt;
  }

  @Override
  public final long pathKey() {
    return pathKey;
  }

  @Override
  public final long goalAt() {
    return goalAt <= endsAt ? goalAt : Person.NEVER;
  }

  @Override
  public final boolean secondaryGoalMet(int n) {
    throw new IllegalStateException("a plain journey has none");
  }

  @Override
  public final long goneAt() {
    return goneAt;
  }

  @Override
  public final long unsubscribesAt() {
    return unsubscribesAt;
  }

  @Override
  public final long complainsAt() {
    return complainsAt;
  }

  @Override
  public final int unsubscribedBy() {
    return unsubscribesAt <= endsAt ? unsubscribesBy : -1;
  }

  @Override
  public final int sends() {
    return sends;
  }

  @Override
  public final int emails() {
    return sends;
  }

  @Override
  public final int sendInOrder(int n) {
    return order[n];
  }

  @Override
  public final long sentAt(int send) {
    return mails[send].sentAt;
  }

  @Override
  public final long deliveredAt(int send) {
    return mails[send].deliveredAt;
  }

  @Override
  public final long recordedOpenAt(int send) {
    return mails[send].recordedOpenAt;
  }

  @Override
  public final long peopleOpenAt(int send) {
    return mails[send].peopleOpenAt;
  }

  @Override
  public final long clickAt(int send) {
    return mails[send].clickAt;
  }

  @Override
  public final int purchases() {
    return purchases;
  }

  @Override
  public final long boughtAt(int n) {
    return boughtAt[n];
  }

  @Override
  public final long cents(int n) {
    return cents[n];
  }
}
