package org.opentrellis.core.machine;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.AttributeName;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Operand;

/**
 * One person in the world of some journeys: their record, what they bought and did, what they were
 * sent, and their visits. Evidence carries its own time; it may lie ahead of the present, as in a
 * dry run, and it may become known late.
 *
 * <p>Mutable and reused from person to person, for speed. {@link Standing} puts one down and takes
 * it up again.
 */
public final class Person {
  public static final long NEVER = Long.MAX_VALUE;

  /** The present of somebody to whom nothing has happened. */
  static final long NOT_YET = Long.MIN_VALUE;

  /** Instead of a place: the event says nothing about itself. */
  private static final long SAYS_NOTHING = -1;

  /** Instead of a product: the cart was emptied. */
  static final int NOTHING = -2;

  /** Before any evidence. */
  static final long NONE_SEEN = -1;

  /** Seven days, in seconds: over these too much mail is judged. */
  public static final long WEEK = 7L * ZoneClock.DAY;

  final World world;
  final Reactions reactions;
  private final int watched;
  final Visits visits;
  final Entries entries = new Entries();

  private final NumberSet labels;
  private final NumberSet hadLabels;
  private final int labelCount;
  private final Operand[] fields;
  private final NumberSet hadMessages;
  private final int messageCount;

  /** What the record says by names that no journey here has to do with. */
  final UnusedRecord unused = new UnusedRecord();

  /** By program; means nothing before the first entry. */
  final long[] lastEntryAt;

  final int[] timesEntered;

  private final Happenings purchases = new Happenings();

  /** Instead of money, each has its place among what events say about themselves. */
  private final Happenings events = new Happenings();

  private final List<Map<AttributeName, Operand>> payloads = new ArrayList<>();

  /** The lines of the cart from each change on, with the value of the whole cart. */
  private final Happenings carts = new Happenings();

  final SendMemory sends = new SendMemory();

  /** Emails and texts; kept only where some guard counts texts. */
  final SendMemory messages = new SendMemory();

  final Departures departures = new Departures();

  /** Null where no trigger waits for somebody to enter a segment. */
  final @Nullable SegmentWatch segments;

  ZoneClock clock;
  boolean agreedToTexts = true;

  /** When the cart last changed, or {@link #NOT_YET}. */
  long cartChangedAt;

  /** Grows with what becomes known and is watched, so that no visit looks again for nothing. */
  long evidence;

  /** The present: how far time has come. Never goes back. */
  long now;

  /** The earliest moment of what has become known late and has not been looked at, or NEVER. */
  long lateFrom;

  /** From when on the record says what it says, or {@link #NOT_YET}. */
  long recordChangedAt;

  private long endsAt = NEVER;

  private @Nullable Object traits;

  Person(World world, ZoneClock clock) {
    this.world = world;
    this.watched = world.watched();
    this.reactions = world.reactions();
    this.clock = clock;
    Names names = world.names();
    labelCount = names.labels.size();
    labels = new NumberSet(labelCount);
    hadLabels = new NumberSet(labelCount);
    messageCount = names.messages.size();
    hadMessages = new NumberSet(messageCount);
    fields = new Operand[names.fields.size()];
    lastEntryAt = new long[names.journeys.size()];
    timesEntered = new int[names.journeys.size()];
    visits = new Visits(names.journeys.size());
    segments = reactions.toSegments() ? new SegmentWatch(reactions) : null;
    begin(clock);
  }

  /** Starts another person, of whom nothing is known. */
  public void begin(ZoneClock clock) {
    this.clock = clock;
    visits.clear();
    entries.clear();
    labels.clear();
    hadLabels.clear();
    hadMessages.clear();
    unused.clear();
    if (fields.length > 0) {
      Arrays.fill(fields, null);
    }
    for (int program = 0; program < timesEntered.length; program++) {
      timesEntered[program] = 0;
    }
    purchases.clear();
    events.clear();
    payloads.clear();
    carts.clear();
    sends.clear();
    messages.clear();
    departures.clear();
    if (segments != null) {
      segments.clear();
    }
    agreedToTexts = true;
    cartChangedAt = NOT_YET;
    now = NOT_YET;
    lateFrom = NEVER;
    recordChangedAt = NOT_YET;
  }

  public World world() {
    return world;
  }

  /** Time comes to a moment; it never goes back. */
  public void comesTo(long moment) {
    if (segments != null && now == NOT_YET) {
      segments.begin(this, moment);
    }
    now = Math.max(now, moment);
  }

  /** How far time has come. */
  public long now() {
    return now;
  }

  /** Something became known that happened, or will happen, at a moment. */
  void learns(int kind, long at) {
    if ((kind & watched) != 0) {
      evidence++;
      if (at < lateFrom && at < now) {
        lateFrom = at;
      }
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

  /** Somebody or something brings the person to a journey at a moment. */
  public void comes(int program, int trigger, long at) {
    entries.add(program, trigger, -1, at, NOT_YET);
  }

  /** Does something that changes the person, and brings them into no journey and no segment. */
  public void startsNothing(Runnable what) {
    entries.close(true);
    try {
      what.run();
    } finally {
      entries.close(false);
    }
    if (segments != null) {
      segments.takeAsItIs(this);
    }
  }

  /** Someone who stands at a journey's door at a moment. */
  public record Coming(int program, int trigger, long at) {}

  /** Who will come to which journey, as far as is known. */
  public List<Coming> comings() {
    return entries.all();
  }

  /** Another journey hands the person over. */
  void isHandedOver(int program, int trigger, int origin, long at) {
    entries.add(program, trigger, origin, at, NOT_YET);
  }

  /** A record does not remember: what it says so far is looked at while it still says so. */
  private void recordChanges() {
    if (world.followsTheCalendar()) {
      Exits.around(this);
    }
    recordChangedAt = now;
  }

  /** Has a tag or is on a list, as their record says; sets nothing off. */
  public void carries(int label) {
    recordChanges();
    learns(Evidence.RECORD, now);
    labels.add(label);
    hadLabels.add(label);
  }

  /** A tag or list is set or cleared at a moment, which may set journeys off. */
  void changesLabel(int label, boolean on, long at) {
    recordChanges();
    learns(Evidence.RECORD, at);
    if (!on) {
      labels.remove(label);
      return;
    }
    boolean isNew = !labels.has(label);
    labels.add(label);
    hadLabels.add(label);
    if (isNew) {
      reactions.toLabel(this, label, at);
    }
  }

  /** The same from outside, by name. */
  public void changesLabel(Name tagOrList, boolean on, long at) {
    comesTo(at);
    OptionalInt label = world.names().labels.find(tagOrList);
    if (label.isPresent() && label.getAsInt() < labelCount) {
      changesLabel(label.getAsInt(), on, at);
    } else {
      unused.label(tagOrList, on);
    }
  }

  public boolean carriesNow(int label) {
    return labels.has(label);
  }

  public boolean everCarried(int label) {
    return hadLabels.has(label);
  }

  /** Notes that the person once carried a tag, though they may not now. */
  void onceCarried(int label) {
    hadLabels.add(label);
  }

  /** What a field holds, as the record says; sets nothing off. */
  public void field(int number, @Nullable Operand value) {
    changesField(number, value, now);
  }

  /** A field changes at a moment. */
  void changesField(int number, @Nullable Operand value, long at) {
    recordChanges();
    learns(Evidence.RECORD, at);
    fields[number] = value;
  }

  /** The same from outside, by name. */
  public void changesField(FieldName name, @Nullable Operand value, long at) {
    comesTo(at);
    OptionalInt field = world.names().fields.find(name);
    if (field.isPresent() && field.getAsInt() < fields.length) {
      changesField(field.getAsInt(), value, at);
    } else {
      unused.field(name, value);
    }
  }

  /** A field's value, or null if it is empty. */
  public @Nullable Operand field(int number) {
    return fields[number];
  }

  private void forgetRecord() {
    recordChanges();
    learns(Evidence.RECORD, now);
    labels.clear();
    hadLabels.clear();
    unused.clear();
    Arrays.fill(fields, null);
  }

  public void agreesToTexts(boolean agreed) {
    agreedToTexts = agreed;
  }

  /** A form is submitted, beside what it says of the record. */
  public void submits(FormName form, long at) {
    reactions.toForm(this, form, at);
  }

  /**
   * What lies in the cart changes; an older change than the last one means nothing any more.
   *
   * @param offers the products' numbers in the world, -1 for one that is not known; none if nothing
   *     is left in it
   * @param cents the value of all of them
   */
  public void changesCart(long at, int[] offers, long cents) {
    if (at <= cartChangedAt) {
      return;
    }
    cartChangedAt = at;
    if (offers.length == 0) {
      fillsCart(at, NOTHING, 0);
      return;
    }
    for (int offer : offers) {
      fillsCart(at, offer, cents);
    }
    reactions.toCart(this, at);
  }

  /**
   * Notes one line of what lies in the cart from a moment on; sets nothing off.
   *
   * @param offer the product's number in the world, or -1
   * @param cents the value of the whole cart
   */
  public void fillsCart(long at, int offer, long cents) {
    learns(Evidence.CARTS, at);
    carts.add(at, offer, cents);
  }

  /** Whether a cart is still left at a moment: neither touched nor bought since it changed. */
  boolean stillLeaves(long changedAt, long at) {
    if (changedAt != cartChangedAt) {
      return false;
    }
    return !boughtWithin(changedAt, at);
  }

  /** Whether something was bought after one moment and up to another. */
  boolean boughtWithin(long after, long upTo) {
    return purchases.nextAfter(after) <= upTo;
  }

  /**
   * Notes a purchase.
   *
   * @param offer the product's number in the world, or -1
   */
  public void buys(long at, int offer, long cents) {
    learns(Evidence.PURCHASES, at);
    purchases.add(at, offer, cents);
    reactions.toPurchase(this, at, offer, cents);
  }

  /**
   * Notes an order of several products, which counts as bought with the value of the whole order,
   * and sets each trigger off once.
   *
   * @param offers the products' numbers in the world; at least one, -1 for one that is not known
   */
  public void orders(long at, int[] offers, long cents) {
    learns(Evidence.PURCHASES, at);
    for (int offer : offers) {
      purchases.add(at, offer, cents);
    }
    reactions.toOrder(this, at, offers, cents);
  }

  /**
   * Notes a named event.
   *
   * @param payload what it says about itself
   */
  public void experiences(long at, int event, Map<AttributeName, Operand> payload) {
    learns(Evidence.EVENTS, at);
    keepsEvent(at, event, payload);
    reactions.toEvent(this, at, event, payload);
  }

  /** The same, but sets nothing off. */
  void keepsEvent(long at, int event, Map<AttributeName, Operand> payload) {
    if (payload.isEmpty()) {
      events.add(at, event, SAYS_NOTHING);
    } else {
      events.add(at, event, payloads.size());
      payloads.add(payload);
    }
  }

  /** What the n-th event says about itself. */
  public Map<AttributeName, Operand> payload(int n) {
    long place = events.cents(n);
    return place == SAYS_NOTHING ? Map.of() : payloads.get((int) place);
  }

  public Happenings purchases() {
    return purchases;
  }

  public Happenings events() {
    return events;
  }

  public Happenings carts() {
    return carts;
  }

  public void unsubscribes(long at) {
    evidence++;
    departures.unsubscribes(at);
  }

  public void complains(long at) {
    evidence++;
    departures.complains(at);
  }

  public void bouncesForGood(long at) {
    evidence++;
    departures.bounces(at);
  }

  public void isErased(long at) {
    evidence++;
    departures.isErased(at);
    forgetRecord();
  }

  /** Back by their own act: may be mailed again, and may enter journeys again. */
  void comesBack(long at) {
    evidence++;
    departures.comesBack(at);
  }

  /**
   * When the person is lost for all journeys, by unsubscribing or otherwise, as far as is known.
   */
  public long goneAt() {
    return departures.goneAt;
  }

  public long unsubscribesAt() {
    return departures.unsubscribedAt();
  }

  public long complainsAt() {
    return departures.complainedAt();
  }

  public long bouncesAt() {
    return departures.bouncedAt();
  }

  public long erasedAt() {
    return departures.erasedAt();
  }

  /** Tags and lists have numbers below this. */
  int labelCount() {
    return labelCount;
  }

  /** Fields have numbers below this. */
  int fieldCount() {
    return fields.length;
  }

  /** Messages have numbers below this. */
  int messageCount() {
    return messageCount;
  }

  /** Whether a message has gone out to the person, by its number. */
  boolean hadMessage(int message) {
    return hadMessages.has(message);
  }

  /** Notes that a message has gone out to the person before. */
  void hadMessageBefore(int message) {
    hadMessages.add(message);
  }

  /** A message goes out to the person. */
  void gets(Sent message) {
    if (!message.text()) {
      sends.add(message.at());
    }
    if (world.countsTexts()) {
      messages.add(message.at());
    }
    if (world.asksForMessages()) {
      hadMessages.add(message.message());
    }
  }

  /** How many emails went out to the person after a moment, at most some hundred. */
  public int emailsSince(long moment) {
    return sends.since(moment);
  }

  /** The most emails that went out to the person within any seven days. */
  public int mostEmailsInAWeek() {
    return sends.mostInAWeek();
  }
}
