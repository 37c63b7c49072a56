package org.opentrellis.core.dryrun;

import java.util.Arrays;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Program;

/**
 * Some people of a run side by side: an array for each thing that is known of them, so that a loop
 * over all of them does one thing. Times are epoch seconds, {@link Person#NEVER} where something
 * does not happen. Used again for the next people, for speed.
 */
final class Lanes {
  /** So many at once: what is known of them stays close to the processor. */
  static final int WIDTH = 256;

  private static final int FEW_PURCHASES = 4;

  /** Who they are. */
  final Traits[] who = new Traits[WIDTH];

  /** The clock that the journey's times are read on for them. */
  final ZoneClock[] clock = new ZoneClock[WIDTH];

  /** Their time in the journey. */
  final int[] trigger = new int[WIDTH];

  final long[] entryAt = new long[WIDTH];
  final long[] entryDay = new long[WIDTH];
  final long[] endsAt = new long[WIDTH];
  final long[] now = new long[WIDTH];
  final long[] pathKey = new long[WIDTH];

  /** Up to which day since entry it has been counted where they stand. */
  final int[] counted = new int[WIDTH];

  /** Where an arrival at the moment counts; see {@link ArrivalTally}. */
  final int[] bucket = new int[WIDTH];

  final int[] dayCell = new int[WIDTH];
  final int[] quarterCell = new int[WIDTH];
  final long[] hour = new long[WIDTH];

  /** What takes them out. */
  final long[] unsubscribesAt = new long[WIDTH];

  final int[] unsubscribesBy = new int[WIDTH];
  final long[] complainsAt = new long[WIDTH];
  final long[] bouncesAt = new long[WIDTH];
  final long[] goalAt = new long[WIDTH];
  final long[] ruleAt = new long[WIDTH];

  /** The earliest of what makes them lost for all journeys. */
  final long[] goneAt = new long[WIDTH];

  /** The earliest of all that takes them out. */
  final long[] outAt = new long[WIDTH];

  /** Their tags and lists, as bits. */
  final long[] labels = new long[WIDTH];

  final long[] hadLabels = new long[WIDTH];

  /** What was sent, in order, and what became of it, by send. */
  final int[] sends = new int[WIDTH];

  final int[] sendsBack = new int[WIDTH];
  final int[][] order;
  final long[][] sentInOrder;

  /** As in the machine's memory: where the week with the most emails so far would begin. */
  final int[] weekFrom = new int[WIDTH];

  final long[][] sentAt;
  final long[][] deliveredAt;
  final long[][] bouncedAt;
  final long[][] recordedOpenAt;
  final long[][] peopleOpenAt;
  final long[][] clickAt;

  /** Of what is never recorded. */
  final long[] never = new long[WIDTH];

  /** The slot of the link that was clicked. */
  final int[][] clickSlot;

  /** What they buy, in order of time. */
  final int[] purchases = new int[WIDTH];

  final long[][] boughtAt = new long[WIDTH][FEW_PURCHASES];
  final int[][] offers = new int[WIDTH][FEW_PURCHASES];
  final long[][] cents = new long[WIDTH][FEW_PURCHASES];

  Lanes(Program program, GroupDraws any) {
    Arrays.setAll(who, lane -> new Traits(any));
    never(never, WIDTH);
    int count = program.sends().size();
    order = new int[count][WIDTH];
    sentInOrder = new long[count][WIDTH];
    sentAt = new long[count][WIDTH];
    deliveredAt = new long[count][WIDTH];
    bouncedAt = new long[count][WIDTH];
    recordedOpenAt = new long[count][WIDTH];
    peopleOpenAt = new long[count][WIDTH];
    clickAt = new long[count][WIDTH];
    clickSlot = new int[count][WIDTH];
  }

  /** Forgets what happened to so many. */
  void clear(int size) {
    for (int send = 0; send < order.length; send++) {
      never(sentAt[send], size);
      never(deliveredAt[send], size);
      never(bouncedAt[send], size);
      never(recordedOpenAt[send], size);
      never(peopleOpenAt[send], size);
      never(clickAt[send], size);
    }
    never(unsubscribesAt, size);
    never(complainsAt, size);
    never(bouncesAt, size);
    never(goalAt, size);
    never(ruleAt, size);
    never(goneAt, size);
    never(outAt, size);
    Arrays.fill(weekFrom, 0, size, 0);
    Arrays.fill(pathKey, 0, size, 0);
    Arrays.fill(counted, 0, size, 0);
    Arrays.fill(sends, 0, size, 0);
    Arrays.fill(sendsBack, 0, size, 0);
    Arrays.fill(purchases, 0, size, 0);
  }

  private static void never(long[] times, int size) {
    Arrays.fill(times, 0, size, Person.NEVER);
  }

  /** Something makes somebody lost for all journeys at a moment. */
  void isGone(int lane, long at) {
    goneAt[lane] = Math.min(goneAt[lane], at);
    outAt[lane] = Math.min(outAt[lane], at);
  }

  /** An email goes out now. */
  void sends(int lane, int send) {
    long at = now[lane];
    int place = sends[lane]++;
    sentAt[send][lane] = at;
    order[place][lane] = send;
    sentInOrder[place][lane] = at;
    weekFrom[lane] += sentInOrder[weekFrom[lane]][lane] <= at - Person.WEEK ? 1 : 0;
  }

  /** Notes a purchase at its place in time. */
  void buys(int lane, long at, int offer, long worth) {
    int place = purchases[lane]++;
    if (place == boughtAt[lane].length) {
      boughtAt[lane] = Arrays.copyOf(boughtAt[lane], 2 * place);
      offers[lane] = Arrays.copyOf(offers[lane], 2 * place);
      cents[lane] = Arrays.copyOf(cents[lane], 2 * place);
    }
    long[] times = boughtAt[lane];
    while (place > 0 && times[place - 1] > at) {
      times[place] = times[place - 1];
      offers[lane][place] = offers[lane][place - 1];
      cents[lane][place] = cents[lane][place - 1];
      place--;
    }
    times[place] = at;
    offers[lane][place] = offer;
    cents[lane][place] = worth;
  }

  /** How many emails of the last seven days went out. */
  int emailsOfTheWeek(int lane) {
    long from = now[lane] - Person.WEEK;
    int first = sends[lane];
    while (first > 0 && sentInOrder[first - 1][lane] > from) {
      first--;
    }
    return sends[lane] - first;
  }

  /** As {@link Person#mostEmailsInAWeek}. */
  int mostEmailsInAWeek(int lane) {
    return sends[lane] - weekFrom[lane];
  }
}
