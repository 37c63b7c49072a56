package org.opentrellis.core.machine;

import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.Operand;

/**
 * One person in the world of some journeys: their record, what they bought and did, what they were
 * sent, and their visits. Evidence may lie ahead of the present.
 *
 * <p>Mutable and reused from person to person, for speed.
 */
public final class Person {
  public static final long NEVER = Long.MAX_VALUE;

  /** Before any evidence. */
  static final long NONE_SEEN = -1;

  /** Seven days, in seconds: over these too much mail is judged. */
  public static final long WEEK = 7L * ZoneClock.DAY;

  /** How many sends are remembered, for the frequency guard and for tiredness. */
  private static final int REMEMBERED = 128;

  final World world;
  final Reactions reactions;
  private final int watched;
  final Visits visits;
  final Entries entries = new Entries();

  private final Marks marks;
  private final Marks hadMarks;
  private final Operand[] fields;
  private final Marks hadMessages;

  /** By program; means nothing before the first entry. */
  final long[] lastEntryAt;

  final int[] timesEntered;

  private final Happenings purchases = new Happenings();
  private final Happenings events = new Happenings();

  private final long[] sendTimes = new long[REMEMBERED];
  private int sendCount;

  /** Where the week with the most emails so far would begin if it ended with the latest. */
  private int weekFrom;

  ZoneClock clock;
  boolean agreedToTexts = true;
  private long erasedAt;
  private long unsubscribesAt;
  private long complainsAt;
  private long bouncesAt;

  /** The earliest of the four above. */
  long goneAt;

  /** Grows with what becomes known and is watched, so that no visit looks again for nothing. */
  long evidence;

  /** How far time has come. */
  long now;

  private long endsAt = NEVER;

  private @Nullable Object traits;

  Person(World world, ZoneClock clock) {
    this.world = world;
    this.watched = world.watched();
    this.reactions = world.reactions();
    this.clock = clock;
    marks = new Marks(world.markCount());
    hadMarks = new Marks(world.markCount());
    hadMessages = new Marks(world.messageCount());
    fields = new Operand[world.fieldCount()];
    lastEntryAt = new long[world.programs().size()];
    timesEntered = new int[world.programs().size()];
    visits = new Visits(world);
    begin(clock);
  }

  /** Starts another person, of whom nothing is known. */
  public void begin(ZoneClock clock) {
    this.clock = clock;
    visits.clear();
    entries.clear();
    marks.clear();
    hadMarks.clear();
    hadMessages.clear();
    if (fields.length > 0) {
      Arrays.fill(fields, null);
    }
    for (int program = 0; program < timesEntered.length; program++) {
      timesEntered[program] = 0;
    }
    purchases.clear();
    events.clear();
    sendCount = 0;
    weekFrom = 0;
    agreedToTexts = true;
    erasedAt = NEVER;
    unsubscribesAt = NEVER;
    complainsAt = NEVER;
    bouncesAt = NEVER;
    goneAt = NEVER;
    now = Long.MIN_VALUE;
  }

  /** Something became known. */
  void learns(int kind) {
    if ((kind & watched) != 0) {
      evidence++;
    }
  }

  /** What a driver keeps with the person, such as who they are. */
  public @Nullable Object traits() {
    return traits;
  }

  public void traits(@Nullable Object kept) {
    traits = kept;
  }

  /** Until when the person is looked at; what happens then still counts. */
  public long endsAt() {
    return endsAt;
  }

  public void endsAt(long moment) {
    endsAt = moment;
  }

  /** The visits so far, those that are over too, in order of entry. */
  public List<Visit> visits() {
    return visits.asList();
  }

  /** How many visits there are so far. */
  public int visitCount() {
    return visits.size();
  }

  /** The n-th visit in order of entry, from 0. */
  public Visit visit(int n) {
    return visits.get(n);
  }

  public ZoneClock clock() {
    return clock;
  }

  /** Somebody or something brings the person to a journey at a moment; no earlier than now. */
  public void comes(int program, int trigger, long at) {
    entries.add(program, trigger, -1, at);
  }

  /** Someone who stands at a journey's door at a moment. */
  public record Coming(int program, int trigger, long at) {}

  /** Who will come to which journey, as far as is known. */
  public List<Coming> comings() {
    return entries.all();
  }

  /** Another journey hands the person over. */
  void isHandedOver(int program, int trigger, int origin, long at) {
    entries.add(program, trigger, origin, at);
  }

  /** Sets or clears a tag or list, as it is before anything else happens. */
  public void mark(int number, boolean on) {
    learns(Evidence.RECORD);
    if (on) {
      marks.add(number);
      hadMarks.add(number);
    } else {
      marks.remove(number);
    }
  }

  public boolean isMarked(int number) {
    return marks.has(number);
  }

  public boolean wasMarked(int number) {
    return hadMarks.has(number);
  }

  public void field(int number, @Nullable Operand value) {
    learns(Evidence.RECORD);
    fields[number] = value;
  }

  /** A field's value, or null if it is empty. */
  public @Nullable Operand field(int number) {
    return fields[number];
  }

  void forgetRecord() {
    learns(Evidence.RECORD);
    marks.clear();
    hadMarks.clear();
    Arrays.fill(fields, null);
  }

  public void agreesToTexts(boolean agreed) {
    agreedToTexts = agreed;
  }

  /**
   * Notes a purchase.
   *
   * @param offer the product's number in the world, or -1
   */
  public void buys(long at, int offer, long cents) {
    learns(Evidence.PURCHASES);
    purchases.add(at, offer, cents);
    reactions.toPurchase(this, at, offer, cents);
  }

  /** Notes a named event. */
  public void experiences(long at, int event) {
    learns(Evidence.EVENTS);
    events.add(at, event, 0);
    reactions.toEvent(this, at, event);
  }

  public Happenings purchases() {
    return purchases;
  }

  public Happenings events() {
    return events;
  }

  public void unsubscribes(long at) {
    evidence++;
    unsubscribesAt = Math.min(unsubscribesAt, at);
    goneAt = Math.min(goneAt, at);
  }

  public void complains(long at) {
    evidence++;
    complainsAt = Math.min(complainsAt, at);
    goneAt = Math.min(goneAt, at);
  }

  public void bouncesForGood(long at) {
    evidence++;
    bouncesAt = Math.min(bouncesAt, at);
    goneAt = Math.min(goneAt, at);
  }

  void isErased(long at) {
    evidence++;
    erasedAt = Math.min(erasedAt, at);
    goneAt = Math.min(goneAt, at);
    forgetRecord();
  }

  /**
   * When the person is lost for all journeys, by unsubscribing or otherwise, as far as is known.
   */
  public long goneAt() {
    return goneAt;
  }

  public long unsubscribesAt() {
    return unsubscribesAt;
  }

  public long complainsAt() {
    return complainsAt;
  }

  public long bouncesAt() {
    return bouncesAt;
  }

  public long erasedAt() {
    return erasedAt;
  }

  /** Why the person is gone at {@link #goneAt}. */
  LeaveReason whyGone() {
    if (erasedAt == goneAt) {
      return LeaveReason.ERASED;
    }
    if (unsubscribesAt == goneAt) {
      return LeaveReason.UNSUBSCRIBED;
    }
    return complainsAt == goneAt ? LeaveReason.COMPLAINED : LeaveReason.BOUNCED;
  }

  /** Whether a message has gone out to the person, by the world's number of it. */
  boolean hadMessage(int message) {
    return hadMessages.has(message);
  }

  /** A message goes out to the person. */
  void gets(Sent message) {
    if (!message.text()) {
      sendTimes[sendCount++ & REMEMBERED - 1] = message.at();
      weekFrom += sendTimes[weekFrom & REMEMBERED - 1] <= message.at() - WEEK ? 1 : 0;
    }
    if (world.asksForMessages()) {
      hadMessages.add(message.message());
    }
  }

  /** How many emails went out to the person after a moment, at most {@value #REMEMBERED}. */
  public int emailsSince(long moment) {
    int count = 0;
    int known = Math.min(sendCount, REMEMBERED);
    while (count < known && sendTimes[sendCount - 1 - count & REMEMBERED - 1] > moment) {
      count++;
    }
    return count;
  }

  /**
   * The most emails that went out to the person within any seven days: the week that is looked at
   * grows with each email unless that would make it too long; then it moves on, and never shrinks.
   */
  public int mostEmailsInAWeek() {
    return sendCount - weekFrom;
  }

  /** When the n-th last email went out, from 1; there must be as many. */
  long emailFromLast(int n) {
    return sendTimes[sendCount - n & REMEMBERED - 1];
  }
}
