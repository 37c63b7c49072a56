package org.opentrellis.core.machine;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.Operand;

/**
 * One person's one time in one journey: where they stand, and the evidence about what it sent them.
 * Times are epoch seconds; {@link Person#NEVER} means that it has not happened and is not known to
 * happen. Evidence may lie ahead of {@link #now}.
 *
 * <p>Mutable and reused from person to person, for speed.
 */
public final class Visit implements Stand {
  static final int OVER = -1;
  static final Question[] NOTHING_AWAITED = {};

  final Program program;
  final Person person;
  private final Node[] nodes;

  /** Who is told, and what decides; as the machine says when the visit begins. */
  Witness witness = Witness.NOBODY;

  Outside outside = Outside.NOTHING;

  int node = OVER;
  long now;
  long entryAt;

  /** When it happened what brought them in; sooner than they came if it became known late. */
  long cameAt;

  int trigger;
  int origin;
  int number;
  ZoneClock clock;

  /** Whether the person waits at the node, and until when at the latest. */
  boolean waiting;

  long until;

  /** What may end the waiting sooner. */
  Question[] awaited = NOTHING_AWAITED;

  /** When they got to the node. */
  long steppedAt;

  /** When they leave, as far as is known; good for the evidence and up to the moment below. */
  long leavesAt;

  long seenEvidence;
  long lookedTo;

  /** The day of entry on the journey's calendar, since 1970-01-01. */
  private long entryDay;

  /** What a witness counts paths by. */
  private long pathKey;

  /** Up to when a witness has counted it. */
  private int counted;

  final GoalWatch goal = new GoalWatch();

  /** In the order of the journey's. */
  final GoalWatch[] secondaryGoals;

  /** By send number, whether it went out or not. */
  private final Sent[] messages;

  /** The numbers of those that went out, in order. */
  private final int[] order;

  private final long[] linkClickAt;

  /** The send that people unsubscribe because of, and when. */
  private int unsubscribesBy;

  private long unsubscribesAt;

  /** What steps sent that this version of the journey does not have. */
  private List<VisitState.Message> gone = List.of();

  private int sends;
  private int texts;
  private int emailsBack;

  Visit(Program program, Person person) {
    this.program = program;
    this.person = person;
    this.nodes = program.nodes();
    this.clock = person.clock;
    int count = program.sends().size();
    secondaryGoals =
        Stream.generate(GoalWatch::new)
            .limit(program.secondaryAims().length)
            .toArray(GoalWatch[]::new);
    messages =
        IntStream.range(0, count).mapToObj(send -> new Sent(this, send)).toArray(Sent[]::new);
    order = new int[count];
    linkClickAt = new long[program.linkSlots().size()];
    Arrays.fill(linkClickAt, Person.NEVER);
  }

  void begin(int trigger, int origin, int number, long at, ZoneClock clock) {
    forgetEvidence();
    this.trigger = trigger;
    this.origin = origin;
    this.number = number;
    this.clock = clock;
    node = program.first();
    entryAt = at;
    cameAt = at;
    now = at;
    waiting = false;
    goal.begin(at);
    for (GoalWatch secondary : secondaryGoals) {
      secondary.begin(at);
    }
    pathKey = 0;
    counted = 0;
    seenEvidence = Person.NONE_SEEN;
    entryDay = clock.day(at);
  }

  /** A visit that never begins: conditions are asked of the person alone, "since entry" is ever. */
  void watchesOnly() {
    forgetEvidence();
    trigger = -1;
    origin = -1;
    entryAt = Person.NOT_YET;
  }

  private void forgetEvidence() {
    for (int i = 0; i < sends; i++) {
      messages[order[i]].forget();
    }
    if (linkClickAt.length > 0) {
      Arrays.fill(linkClickAt, Person.NEVER);
    }
    sends = 0;
    texts = 0;
    emailsBack = 0;
    gone = List.of();
    unsubscribesAt = Person.NEVER;
  }

  List<VisitState.Message> gone() {
    return gone;
  }

  void keepGone(VisitState.Message message) {
    gone = Stream.concat(gone.stream(), Stream.of(message)).toList();
  }

  /** Takes up what was sent before the visit was put down. */
  void takesUp(int send, int variant, VisitState.Message was, List<LinkName> links) {
    messages[send].takesUp(variant, was, links);
    order[sends++] = send;
    texts += messages[send].text() ? 1 : 0;
    emailsBack += !messages[send].text() && was.bouncedAt() != Person.NEVER ? 1 : 0;
  }

  /** The send that the person unsubscribed because of, or -1. */
  int unsubscribedBy() {
    return unsubscribesAt == Person.NEVER ? -1 : unsubscribesBy;
  }

  long unsubscribesAt() {
    return unsubscribesAt;
  }

  /** Time comes to a moment. */
  void comesTo(long at) {
    now = at;
    person.now = at;
    witness.comesTo(this);
  }

  /** A message goes out now. */
  Sent sends(int send, int variant) {
    Sent message = messages[send];
    person.learns(Evidence.MAIL, now);
    message.goesOut(variant, now);
    order[sends++] = send;
    texts += message.text() ? 1 : 0;
    return message;
  }

  public Program program() {
    return program;
  }

  public Person person() {
    return person;
  }

  @Override
  public long now() {
    return now;
  }

  @Override
  public long entryAt() {
    return entryAt;
  }

  /** The day of entry on the journey's calendar, since 1970-01-01. */
  public long entryDay() {
    return entryDay;
  }

  /** The trigger's position in the journey; -1 if they were put in some other way. */
  @Override
  public int trigger() {
    return trigger;
  }

  /** How many times the person has entered this journey before. */
  public int number() {
    return number;
  }

  /** The clock that the journey's times are read on. */
  @Override
  public ZoneClock clock() {
    return clock;
  }

  @Override
  public @Nullable Operand field(int number) {
    return person.field(number);
  }

  /** When the person got to the node where they stand. */
  public long steppedAt() {
    return steppedAt;
  }

  /** A number that a witness keeps with the visit; 0 when it begins. */
  public long pathKey() {
    return pathKey;
  }

  public void pathKey(long number) {
    pathKey = number;
  }

  /** Up to when a witness has counted the visit, by a measure of its own; 0 when it begins. */
  public int counted() {
    return counted;
  }

  public void counted(int upTo) {
    counted = upTo;
  }

  /** What a witness keeps with a visit goes on with it, when the person is taken up again. */
  public void isCountedLike(Visit before) {
    pathKey = before.pathKey;
    counted = before.counted;
  }

  public boolean over() {
    return node == OVER;
  }

  /** The person gets to the node now. */
  void arrives() {
    steppedAt = now;
    witness.entered(node, this);
  }

  void waitUntil(long moment, Question[] orSoonerIf) {
    waiting = true;
    until = moment;
    awaited = orSoonerIf;
  }

  /**
   * When the goal is met within its limit, as far as is known; also after the visit is over.
   *
   * @param to the last moment that is looked at
   * @return {@link Person#NEVER} if it is not by then
   */
  public long goalMetAt(long to) {
    return Exits.metAt(goal, this, to);
  }

  /**
   * The same of a secondary goal.
   *
   * @param n which of the journey's, from 0
   */
  public long secondaryGoalMetAt(int n, long to) {
    return Exits.metAt(secondaryGoals[n], this, to);
  }

  /** The step where the person stands. */
  Node stand() {
    return nodes[node];
  }

  /** The number of the node where the person stands. */
  public int node() {
    return node;
  }

  /** How many messages have gone out. */
  public int sends() {
    return sends;
  }

  /** How many of them were emails. */
  public int emails() {
    return sends - texts;
  }

  /** How many of them the person has got: those that have not come back. */
  public int emailsGot() {
    return emails() - emailsBack;
  }

  /** An email comes back. */
  void emailComesBack() {
    emailsBack++;
  }

  /** The n-th message that went out. */
  public Sent sentInOrder(int n) {
    return messages[order[n]];
  }

  /** What became of a message, by its number among the sends. */
  public Sent sent(int send) {
    return messages[send];
  }

  /**
   * A link was clicked.
   *
   * @param slot by the program's numbering of links; -1 if no condition asks about it
   */
  void clicked(int slot, long at) {
    if (slot >= 0) {
      linkClickAt[slot] = Math.min(linkClickAt[slot], at);
    }
  }

  /** The person unsubscribes because of a message. */
  void unsubscribes(int send, long at) {
    if (at < unsubscribesAt) {
      unsubscribesAt = at;
      unsubscribesBy = send;
    }
  }

  /**
   * The send that the person unsubscribed because of, if it was one of this visit's.
   *
   * @param to the last moment that is looked at
   * @return -1 if it was not
   */
  public int unsubscribedBy(long to) {
    return unsubscribesAt <= to && unsubscribesAt == person.unsubscribesAt() ? unsubscribesBy : -1;
  }

  /** When a link was first clicked, by the program's numbering of links. */
  public long linkClickAt(int slot) {
    return linkClickAt[slot];
  }
}
