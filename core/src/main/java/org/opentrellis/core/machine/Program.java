package org.opentrellis.core.machine;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.SendWindow;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.FrequencyGuard;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.ReEntry;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.journey.Variant;

/**
 * A journey made ready to run: steps as numbered nodes in the order of the run sheet, sends, tags
 * and the like as numbers. Immutable and safe to share between threads.
 */
public final class Program {
  static final int END = Visit.OVER;

  private final int number;
  private final Journey journey;
  private final List<Step> steps;
  private final List<Step.Send> sends;
  private final List<List<Message>> messagesOfSend = new ArrayList<>();

  /** What may go out is numbered through all sends: each message or variant is a version. */
  private final int[] firstVersion;

  private final int[] messageNumbers;
  private final boolean[] tracked;
  private final boolean[] text;
  private final Map<StepId, Integer> sendOf = new HashMap<>();
  private final Map<List<Object>, Integer> linkSlots = new HashMap<>();
  private final int[][][] slots;
  private final boolean usesSlots;
  private final Node[] nodes;
  private final int first;
  private final @Nullable Question entryFilter;
  private final Question[] leaveRules;
  private final @Nullable Question goal;
  private final long goalSeconds;
  private final boolean leavesAtGoal;
  private final boolean followsTheCalendar;
  private final @Nullable SendWindow window;
  private final @Nullable FrequencyGuard guard;
  private final @Nullable ZoneId ownZone;
  private final boolean perCart;
  private final int[] triggerMarks;

  Program(World world, int number, Journey journey) {
    this.number = number;
    this.journey = journey;
    this.steps = journey.steps().toList();
    this.sends = journey.sends();
    for (Step.Send send : sends) {
      sendOf.put(send.id(), sendOf.size());
      messagesOfSend.add(messageIds(send).stream().map(id -> messageOf(id, world)).toList());
    }
    this.firstVersion = new int[sends.size() + 1];
    for (int i = 0; i < sends.size(); i++) {
      firstVersion[i + 1] = firstVersion[i] + messagesOfSend.get(i).size();
    }
    this.messageNumbers =
        messagesOfSend.stream()
            .flatMap(List::stream)
            .mapToInt(message -> world.numberOf(message.id()))
            .toArray();
    this.tracked = new boolean[sends.size()];
    this.text = new boolean[sends.size()];
    for (int i = 0; i < tracked.length; i++) {
      text[i] = sends.get(i) instanceof Step.SendText;
      tracked[i] = sends.get(i) instanceof Step.SendEmail email && !email.untracked();
    }
    Triggers.number(journey, number, world);
    this.triggerMarks =
        journey.triggers().stream().mapToInt(trigger -> Triggers.mark(trigger, world)).toArray();
    Questions questions = new Questions(world, this);
    this.entryFilter = journey.entryFilter().map(questions::compile).orElse(null);
    this.leaveRules = journey.leaveWhen().stream().map(questions::compile).toArray(Question[]::new);
    Optional<Goal> aim = journey.goal();
    this.goal = aim.map(Goal::what).map(questions::compile).orElse(null);
    this.goalSeconds = aim.map(g -> (long) g.withinDays() * ZoneClock.DAY).orElse(0L);
    this.leavesAtGoal = aim.map(Goal::leaveWhenMet).orElse(false);
    this.followsTheCalendar =
        Arrays.stream(leaveRules).anyMatch(Question::followsTheCalendar)
            || goal != null && goal.followsTheCalendar();
    this.window = journey.sendWindow().orElse(null);
    this.guard = journey.frequencyGuard().orElse(null);
    this.ownZone = journey.zone().orElse(null);
    this.perCart = journey.triggers().stream().anyMatch(Trigger.LeavesCart.class::isInstance);
    this.nodes = new Compiler(world, this, questions).compile();
    this.first = steps.isEmpty() ? END : 0;
    this.slots = slotTable();
    this.usesSlots = !linkSlots.isEmpty();
    Triggers.connect(journey, number, world, questions);
  }

  private static List<MessageId> messageIds(Step.Send send) {
    return send instanceof Step.SendEmail email && !email.variants().isEmpty()
        ? email.variants().stream().map(Variant::message).toList()
        : List.of(send.message());
  }

  private static Message messageOf(MessageId id, World world) {
    return world
        .catalogue()
        .message(id)
        .orElseGet(() -> Message.email(id.value(), id.value(), id.value()));
  }

  /** The position of the trigger by which others hand people over, or -1. */
  static int handOverTrigger(Journey journey) {
    for (int i = 0; i < journey.triggers().size(); i++) {
      if (journey.triggers().get(i) instanceof Trigger.HandedOver) {
        return i;
      }
    }
    return -1;
  }

  /** The number in its world. */
  public int number() {
    return number;
  }

  /** The journey, with the steps of its strands in place. */
  public Journey journey() {
    return journey;
  }

  /** The steps by node number. */
  public List<Step> steps() {
    return steps;
  }

  /** What is sent, by send number. */
  public List<Step.Send> sends() {
    return sends;
  }

  /** The messages of a send: one, or one for each variant. */
  public List<Message> messages(int send) {
    return messagesOfSend.get(send);
  }

  /** Whether a send goes to the phone. */
  public boolean isText(int send) {
    return text[send];
  }

  public boolean tracksOpens(int send) {
    return tracked[send];
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
    return firstVersion[send];
  }

  /** How many versions all sends have together. */
  public int versions() {
    return messageNumbers.length;
  }

  /** The world's number of a version's message. */
  int message(int version) {
    return messageNumbers[version];
  }

  /** The send of a step, or -1 if that sends nothing. */
  public int sendOf(StepId step) {
    return sendOf.getOrDefault(step, -1);
  }

  int linkSlots() {
    return linkSlots.size();
  }

  /** Where clicks on a link of one send are noted; made when asked for. -1 if it has none such. */
  int slotFor(int send, LinkName link) {
    boolean has = messagesOfSend.get(send).stream().anyMatch(m -> m.links().contains(link));
    if (!has) {
      return -1;
    }
    Integer known = linkSlots.putIfAbsent(List.of(send, link), linkSlots.size());
    return known == null ? linkSlots.size() - 1 : known;
  }

  /** The slot for a link of what was sent, or -1 if no condition asks about it. */
  int linkSlot(int send, int variant, int link) {
    return usesSlots && link >= 0 ? slots[send][variant][link] : -1;
  }

  private int[][][] slotTable() {
    int[][][] table = new int[sends.size()][][];
    for (int send = 0; send < table.length; send++) {
      int of = send;
      table[send] =
          messagesOfSend.get(send).stream()
              .map(
                  message ->
                      message.links().stream()
                          .mapToInt(link -> linkSlots.getOrDefault(List.of(of, link), -1))
                          .toArray())
              .toArray(int[][]::new);
    }
    return table;
  }

  /** Joining the list or getting the tag that a trigger waits for is what brings people in. */
  void markOnEntry(Person person, int trigger) {
    if (trigger >= 0 && triggerMarks[trigger] >= 0) {
      person.mark(triggerMarks[trigger], true);
    }
  }

  /** Whether the entry filter lets a visit begin. */
  boolean admits(Visit visit) {
    return entryFilter == null || entryFilter.holds(visit, visit.now);
  }

  Question[] leaveRules() {
    return leaveRules;
  }

  @Nullable Question goalQuestion() {
    return goal;
  }

  long goalSeconds() {
    return goalSeconds;
  }

  boolean leavesAtGoal() {
    return leavesAtGoal;
  }

  /** The kinds of evidence that leaving and the goal depend on, besides being gone. */
  int watched() {
    int kinds = goal == null ? Evidence.NONE : goal.about();
    for (Question rule : leaveRules) {
      kinds |= rule.about();
    }
    return kinds;
  }

  /** Whether leaving or the goal may come with the calendar alone. */
  boolean followsTheCalendar() {
    return followsTheCalendar;
  }

  @Nullable SendWindow window() {
    return window;
  }

  @Nullable FrequencyGuard guard() {
    return guard;
  }

  /** The zone that the journey's times are in, or null for each person's own. */
  @Nullable ZoneId ownZone() {
    return ownZone;
  }

  ReEntry reEntry() {
    return journey.reEntry();
  }

  /** Whether a trigger brings a cart, which is always another one. */
  boolean perCart(int trigger) {
    return perCart && trigger >= 0 && journey.triggers().get(trigger) instanceof Trigger.LeavesCart;
  }
}
