package org.opentrellis.core.machine;

import java.time.ZoneId;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.AttributeName;
import org.opentrellis.core.journey.FrequencyGuard;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.LeaveRule;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.ReEntry;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Trigger;

/**
 * One version of a journey made ready to run: steps as numbered nodes in the order of the run
 * sheet, sends, tags and the like as numbers. It knows other journeys by name only, so that each is
 * compiled by itself. Immutable and safe to share between threads.
 */
public final class Program {
  static final int END = Visit.OVER;

  /** Instead of a step's number: none. */
  public static final int NOWHERE = END;

  private final int number;
  private final int version;
  private final Journey journey;
  private final List<Step> steps;
  private final Map<StepId, Integer> nodeOf = new HashMap<>();
  private final SendTable sends;
  private final LinkSlots.Table links;
  private final Node[] nodes;
  private final int first;
  private final Entrance[] entrances;
  private final int handOverEntrance;
  private final @Nullable Question entryFilter;
  private final Question[] leaveRules;

  /** By leave rule, the number of the journey that it hands over to, or -1. */
  private final int[] leadsInto;

  private final @Nullable Aim goal;
  private final Aim[] secondaryGoals;
  private final boolean leavesAtGoal;
  private final boolean followsTheCalendar;
  private final @Nullable FrequencyGuard guard;
  private final @Nullable ZoneId ownZone;

  /**
   * @param journey with the steps of its strands in place
   */
  Program(Journey journey, int version, Vocabulary vocabulary) {
    this.journey = journey;
    this.version = version;
    this.number = vocabulary.names().journeys.of(journey.journeyName());
    this.steps = journey.steps().toList();
    steps.forEach(step -> nodeOf.put(step.id(), nodeOf.size()));
    this.sends = new SendTable(journey, vocabulary);
    LinkSlots slots = new LinkSlots(sends);
    Questions questions = new Questions(journey, vocabulary, sends, slots);
    this.entrances = Entrance.of(journey, vocabulary, questions);
    this.handOverEntrance = handOverEntrance(entrances);
    this.entryFilter = journey.entryFilter().map(questions::compile).orElse(null);
    this.leaveRules = journey.leaveConditions().map(questions::compile).toArray(Question[]::new);
    this.leadsInto =
        journey.leaveWhen().stream().mapToInt(rule -> into(rule, vocabulary)).toArray();
    this.goal = journey.goal().map(aim -> Aim.of(aim, questions)).orElse(null);
    this.secondaryGoals =
        journey.secondaryGoals().stream().map(aim -> Aim.of(aim, questions)).toArray(Aim[]::new);
    this.leavesAtGoal = journey.goal().map(Goal::leaveWhenMet).orElse(false);
    this.followsTheCalendar = askedAllThrough().anyMatch(Question::followsTheCalendar);
    this.guard = journey.frequencyGuard().orElse(null);
    this.ownZone = journey.zone().orElse(null);
    this.nodes = new Compiler(journey, nodeOf, sends, vocabulary, questions).compile();
    this.first = steps.isEmpty() ? END : 0;
    this.links = slots.table();
  }

  private static int into(LeaveRule rule, Vocabulary vocabulary) {
    return rule.into().map(vocabulary.names().journeys::of).orElse(NOWHERE);
  }

  private static int handOverEntrance(Entrance[] entrances) {
    for (int i = 0; i < entrances.length; i++) {
      if (entrances[i] instanceof Entrance.OnHandOver) {
        return i;
      }
    }
    return -1;
  }

  /**
   * The journey's number, the same in each of its versions and for as long as the names live that
   * it was compiled with; among journeys that were compiled together, its position.
   */
  public int number() {
    return number;
  }

  public JourneyName name() {
    return journey.journeyName();
  }

  /** Which version of the journey it is. */
  public int version() {
    return version;
  }

  /** The journey, with the steps of its strands in place. */
  public Journey journey() {
    return journey;
  }

  /** The steps by node number. */
  public List<Step> steps() {
    return steps;
  }

  /** The node of a step, or {@link #END} if it has none such. */
  int nodeOf(StepId step) {
    return nodeOf.getOrDefault(step, END);
  }

  /** What is sent, by send number. */
  public List<Step.Send> sends() {
    return sends.sends;
  }

  /** The messages of a send: one, or one for each variant. */
  public List<Message> messages(int send) {
    return sends.messages(send);
  }

  /** Whether a send goes to the phone. */
  public boolean isText(int send) {
    return sends.text[send];
  }

  public boolean tracksOpens(int send) {
    return sends.tracked[send];
  }

  public Optional<Goal> goal() {
    return journey.goal();
  }

  int first() {
    return first;
  }

  Node[] nodes() {
    return nodes;
  }

  /**
   * The step, further down, that follows one at once unless somebody leaves or is held up; or -1.
   */
  public int followsAtOnce(int step) {
    return nodes[step].goesStraightOn() ? nodes[step].next() : END;
  }

  /** The number of a send's first version among those of all sends. */
  public int firstVersion(int send) {
    return sends.firstVersion(send);
  }

  /** How many versions all sends have together. */
  public int versions() {
    return sends.versions();
  }

  /** The number of a version's message among all messages. */
  int message(int version) {
    return sends.message(version);
  }

  /** The send of a step, or -1 if that sends nothing. */
  public int sendOf(StepId step) {
    return sends.of(step);
  }

  List<LinkSlots.Slot> linkSlots() {
    return links.slots;
  }

  /** The slot for a link of what was sent, or -1 if no condition asks about it. */
  int linkSlot(int send, int variant, int link) {
    return links.of(send, variant, link);
  }

  /**
   * Whether an event of the name that a trigger is about says what the trigger asks for.
   *
   * @param trigger its position in the journey
   */
  public boolean isMet(int trigger, Map<AttributeName, Operand> payload, Person person, long at) {
    return entrances[trigger] instanceof Entrance.OnEvent on
        && on.which().fits(on.which().event(), payload, person, person.clock(), at);
  }

  /** What brings people in, by the position of the trigger. */
  Entrance[] entrances() {
    return entrances;
  }

  /** The position of the trigger by which others hand people over, or -1. */
  int handOverEntrance() {
    return handOverEntrance;
  }

  /** The position of a trigger; -1 if it has none such. */
  public int positionOf(Trigger trigger) {
    return journey.triggers().indexOf(trigger);
  }

  /** Joining the list or getting the tag that a trigger waits for is what brings people in. */
  void labelOnEntry(Person person, int trigger) {
    if (trigger >= 0 && entrances[trigger] instanceof Entrance.OnLabel on) {
      person.carries(on.label());
    }
  }

  /** Whether the entry filter lets a visit begin. */
  boolean admits(Visit visit) {
    return entryFilter == null || entryFilter.holds(visit, visit.now);
  }

  @Nullable Question entryFilter() {
    return entryFilter;
  }

  Question[] leaveRules() {
    return leaveRules;
  }

  /** The journey that a leave rule hands over to, or {@link #NOWHERE}. */
  int leadsInto(int rule) {
    return leadsInto[rule];
  }

  @Nullable Aim goalAim() {
    return goal;
  }

  Aim[] secondaryAims() {
    return secondaryGoals;
  }

  boolean leavesAtGoal() {
    return leavesAtGoal;
  }

  /** What is asked at every moment: the leave rules and the goals. */
  private Stream<Question> askedAllThrough() {
    Stream<Aim> aims = Stream.concat(Stream.ofNullable(goal), Arrays.stream(secondaryGoals));
    return Stream.concat(Arrays.stream(leaveRules), aims.map(Aim::what));
  }

  /** The kinds of evidence that leaving and the goals depend on, besides being gone. */
  int watched() {
    return askedAllThrough().mapToInt(Question::about).reduce(Evidence.NONE, (a, b) -> a | b);
  }

  /** Whether leaving or a goal may come with the calendar alone. */
  boolean followsTheCalendar() {
    return followsTheCalendar;
  }

  @Nullable FrequencyGuard guard() {
    return guard;
  }

  /** The zone that the journey's times are in, or null for each person's own. */
  @Nullable ZoneId ownZone() {
    return ownZone;
  }

  /** The clock that its times are read on, for a person who lives under another. */
  public ZoneClock clockFor(ZoneClock persons) {
    return ownZone == null || ownZone.equals(persons.zone()) ? persons : persons.in(ownZone);
  }

  ReEntry reEntry() {
    return journey.reEntry();
  }

  /** Whether a trigger brings a cart, which is always another one. */
  boolean perCart(int trigger) {
    return trigger >= 0 && entrances[trigger] instanceof Entrance.OnCart;
  }
}
