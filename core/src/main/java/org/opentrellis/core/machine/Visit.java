package org.opentrellis.core.machine;

import java.util.Arrays;
import org.opentrellis.core.calendar.ZoneClock;

/**
 * One person's one time in one journey: where they stand, and the evidence about what it sent them.
 * Times are epoch seconds; {@link Person#NEVER} means that it has not happened and is not known to
 * happen. Evidence may lie ahead of {@link #now}.
 *
 * <p>Mutable and reused from person to person, for speed.
 */
public final class Visit {
  static final int OVER = -1;

  final Program program;
  final Person person;

  int node = OVER;
  long now;
  long entryAt;
  int trigger;
  int origin;
  int number;
  ZoneClock clock;

  /** Whether the person waits at the node, and until when at the latest. */
  boolean waiting;

  long until;

  /** When they got to the node. */
  long steppedAt;

  /** The last moment at which it was found that nothing takes them out. */
  long stayedAt;

  /** The day of entry on the journey's calendar, since 1970-01-01. */
  private long entryDay;

  /** What a witness counts paths by. */
  private long mark;

  /** When the goal was met, as far as time has come. */
  long goalAt;

  private final long[] sentAt;
  private final long[] deliveredAt;
  private final long[] bouncedAt;
  private final long[] recordedOpenAt;
  private final long[] peopleOpenAt;
  private final long[] clickAt;
  private final int[] variant;
  private final int[] clickedLink;
  private final long[] linkClickAt;
  private final long[] orderAt;
  private final long[] orderCents;

  /** The sends in the order they went out. */
  private final int[] order;

  private int sends;

  Visit(Program program, Person person, ZoneClock clock) {
    this.program = program;
    this.person = person;
    this.clock = clock;
    int count = program.sends().size();
    sentAt = never(count);
    deliveredAt = never(count);
    bouncedAt = never(count);
    recordedOpenAt = never(count);
    peopleOpenAt = never(count);
    clickAt = never(count);
    linkClickAt = never(program.linkSlots());
    orderAt = never(count);
    orderCents = new long[count];
    variant = new int[count];
    clickedLink = new int[count];
    order = new int[count];
  }

  private static long[] never(int count) {
    long[] times = new long[count];
    Arrays.fill(times, Person.NEVER);
    return times;
  }

  void begin(int trigger, int origin, int number, long at, ZoneClock clock) {
    forgetEvidence();
    this.trigger = trigger;
    this.origin = origin;
    this.number = number;
    this.clock = clock;
    node = program.first();
    entryAt = at;
    now = at;
    waiting = false;
    goalAt = Person.NEVER;
    mark = 0;
    stayedAt = Long.MIN_VALUE;
    entryDay = clock.day(at);
  }

  private void forgetEvidence() {
    for (int i = 0; i < sends; i++) {
      int send = order[i];
      sentAt[send] = Person.NEVER;
      deliveredAt[send] = Person.NEVER;
      bouncedAt[send] = Person.NEVER;
      recordedOpenAt[send] = Person.NEVER;
      peopleOpenAt[send] = Person.NEVER;
      clickAt[send] = Person.NEVER;
      orderAt[send] = Person.NEVER;
    }
    if (linkClickAt.length > 0) {
      Arrays.fill(linkClickAt, Person.NEVER);
    }
    sends = 0;
  }

  void noteSent(int send, int whichVariant) {
    sentAt[send] = now;
    variant[send] = whichVariant;
    order[sends++] = send;
  }

  public Program program() {
    return program;
  }

  public Person person() {
    return person;
  }

  public long now() {
    return now;
  }

  public long entryAt() {
    return entryAt;
  }

  /** The day of entry on the journey's calendar, since 1970-01-01. */
  public long entryDay() {
    return entryDay;
  }

  /** The trigger's position in the journey; -1 if they were put in some other way. */
  public int trigger() {
    return trigger;
  }

  /** How many times the person has entered this journey before. */
  public int number() {
    return number;
  }

  /** The clock that the journey's times are read on. */
  public ZoneClock clock() {
    return clock;
  }

  /** When the person got to the node where they stand. */
  public long steppedAt() {
    return steppedAt;
  }

  /** A number that a witness keeps with the visit; 0 when it begins. */
  public long mark() {
    return mark;
  }

  public void mark(long number) {
    mark = number;
  }

  public boolean over() {
    return node == OVER;
  }

  /** The node where the person stands. */
  public int node() {
    return node;
  }

  /** How many messages have gone out. */
  public int sends() {
    return sends;
  }

  /** The number of the n-th message that went out. */
  public int sentInOrder(int n) {
    return order[n];
  }

  public void delivered(int send, long at) {
    deliveredAt[send] = Math.min(deliveredAt[send], at);
  }

  /** It came back, for this time. */
  public void bounced(int send, long at) {
    bouncedAt[send] = Math.min(bouncedAt[send], at);
  }

  /** Notes a recorded open; the earliest counts. */
  public void recordsOpen(int send, long at) {
    recordedOpenAt[send] = Math.min(recordedOpenAt[send], at);
  }

  /** Notes that the person read it, which is recorded as an open too unless it is untracked. */
  public void opens(int send, long at) {
    if (peopleOpenAt[send] == Person.NEVER) {
      person.world.reactions().toOpen(person, program.message(send, variant[send]), at);
    }
    peopleOpenAt[send] = Math.min(peopleOpenAt[send], at);
    if (program.tracksOpens(send)) {
      recordsOpen(send, at);
    }
  }

  /**
   * Notes a click.
   *
   * @param link the link's number in its message; -1 if that is not known
   */
  public void clicks(int send, int link, long at) {
    person.world.reactions().toClick(person, program.message(send, variant[send]), link, at);
    if (at < clickAt[send]) {
      clickAt[send] = at;
      clickedLink[send] = link;
    }
    int slot = program.linkSlot(send, variant[send], link);
    if (slot >= 0) {
      linkClickAt[slot] = Math.min(linkClickAt[slot], at);
    }
  }

  /** Notes a purchase that came of this message. */
  public void orders(int send, long at, int offer, long cents) {
    orderAt[send] = at;
    orderCents[send] = cents;
    person.buys(at, offer, cents);
  }

  public long orderAt(int send) {
    return orderAt[send];
  }

  public long orderCents(int send) {
    return orderCents[send];
  }

  public long sentAt(int send) {
    return sentAt[send];
  }

  public long deliveredAt(int send) {
    return deliveredAt[send];
  }

  public long bouncedAt(int send) {
    return bouncedAt[send];
  }

  public long recordedOpenAt(int send) {
    return recordedOpenAt[send];
  }

  public long peopleOpenAt(int send) {
    return peopleOpenAt[send];
  }

  public long clickAt(int send) {
    return clickAt[send];
  }

  /** The link of the first click; -1 if it is not known. Means nothing without a click. */
  public int clickedLink(int send) {
    return clickedLink[send];
  }

  /** Which variant went out; 0 if there is but one. */
  public int variant(int send) {
    return variant[send];
  }

  /** When a link was first clicked, by the program's numbering of links. */
  public long linkClickAt(int slot) {
    return linkClickAt[slot];
  }
}
