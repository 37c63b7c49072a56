package org.opentrellis.core.testing;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.SplittableRandom;
import org.opentrellis.core.behaviour.Assumed;
import org.opentrellis.core.behaviour.Attention;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.FieldGuess;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.behaviour.Offer;
import org.opentrellis.core.behaviour.Origin;
import org.opentrellis.core.behaviour.Reaction;
import org.opentrellis.core.behaviour.Tiredness;
import org.opentrellis.core.behaviour.TypicalBehaviour;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.SendWindow;
import org.opentrellis.core.calendar.TimeOfDay;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.journey.Arm;
import org.opentrellis.core.journey.Attribute;
import org.opentrellis.core.journey.AttributeName;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.CategoryName;
import org.opentrellis.core.journey.Channel;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.EmailRef;
import org.opentrellis.core.journey.EventName;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.FrequencyGuard;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.IfPast;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.JourneyState;
import org.opentrellis.core.journey.LeaveRule;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageContent;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Money;
import org.opentrellis.core.journey.Notice;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.Operator;
import org.opentrellis.core.journey.Otherwise;
import org.opentrellis.core.journey.Pressure;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.journey.Purchases;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.ReEntry;
import org.opentrellis.core.journey.RecordChange;
import org.opentrellis.core.journey.SecondaryGoal;
import org.opentrellis.core.journey.Segment;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.journey.SplitArm;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Strand;
import org.opentrellis.core.journey.StrandId;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.journey.Variant;
import org.opentrellis.core.journey.WaitRule;
import org.opentrellis.core.message.LinksIn;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.SeenByJourneys;

/** Random journeys that use the whole language, and people for them. The seed says which. */
public final class RandomJourneys {
  public static final Catalogue CATALOGUE =
      new Catalogue(
          List.of(
              Message.email("m1", "One", "First", "A", "B"),
              Message.email("m2", "Two", "Second"),
              Message.email("m3", "Three", "Third", "A"),
              new Message(
                  new MessageId("t1"),
                  "A text",
                  new MessageContent.Text("Come by"),
                  List.of(new LinkName("A")),
                  true)),
          List.of(
              new Strand(
                  new StrandId("spring"),
                  "Spring work",
                  List.of(
                      Step.SendEmail.of(new StepId("m"), new MessageId("m3")),
                      new Step.Wait(new StepId("w"), WaitRule.of(2, TimeUnit.DAYS)),
                      Steps.branch(
                          "b",
                          Steps.opened("m"),
                          null,
                          List.of(Steps.tag("t", "red")),
                          List.of())))),
          List.of(
              new Segment(
                  new SegmentName("Keen"),
                  new Condition.Any(
                      List.of(Steps.hasTag("red"), new Condition.OnList(new ListName("blue")))))));

  /** The catalogue, every second time with a pressure that is soon felt. */
  public static Catalogue catalogue(long seed) {
    if (seed % 2 == 0) {
      return CATALOGUE;
    }
    List<Purpose> order = new ArrayList<>(List.of(Purpose.values()));
    Collections.shuffle(order, new Random(seed));
    return CATALOGUE.under(
        Optional.of(
            new Pressure(
                1 + (int) (seed / 2 % 4),
                order,
                seed % 4 == 1 ? FrequencyGuard.Then.HOLD : FrequencyGuard.Then.SKIP)));
  }

  private static final List<String> NAMES = List.of("red", "blue", "green");
  private static final List<ZoneId> ZONES =
      List.of(
          ZoneId.of("Europe/Berlin"),
          ZoneId.of("America/New_York"),
          ZoneId.of("Australia/Lord_Howe"));
  private static final FieldName RENEWAL = new FieldName("renewal");
  private static final FieldName HIVES = new FieldName("hives");
  private static final AttributeName HALL = new AttributeName("hall");
  private static final AttributeName SEATS = new AttributeName("seats");

  private final SplittableRandom random;
  private final List<StepId> emails = new ArrayList<>();
  private int steps;
  private int ids;

  /** A condition about people outside of any journey, with others inside it. */
  public static Condition aboutPeople(long seed) {
    return new RandomJourneys(seed, 1).aboutPeople(0);
  }

  private Condition aboutPeople(int depth) {
    int kind = random.nextInt(6);
    if (depth == 2 || kind > 2) {
      Condition plain = recordCondition();
      return plain instanceof Condition.CameByForm
              || plain instanceof Condition.CameByJourney
              || plain instanceof Condition.CameByList
              || plain instanceof Condition.CameByOrder
          ? aboutPeople(depth)
          : plain;
    }
    List<Condition> parts = List.of(aboutPeople(depth + 1), aboutPeople(depth + 1));
    return switch (kind) {
      case 0 -> new Condition.All(parts);
      case 1 -> new Condition.Any(parts);
      default -> new Condition.None(parts.subList(0, 1 + random.nextInt(2)));
    };
  }

  /** Whether people go on by themselves, and only what a journey knows itself is asked about. */
  private final boolean plain;

  private RandomJourneys(long seed, int steps) {
    this(seed, steps, false);
  }

  private RandomJourneys(long seed, int steps, boolean plain) {
    this.random = new SplittableRandom(seed);
    this.steps = steps;
    this.plain = plain;
  }

  public static Journey journey(long seed, int steps) {
    return new RandomJourneys(seed, steps).journey();
  }

  /** A journey through which people can take the plain walk. */
  public static Journey plainJourney(long seed, int steps) {
    RandomJourneys some = new RandomJourneys(seed, steps, true);
    Purchases what = some.purchases();
    return some.journey()
        .edit()
        .triggers(some.plainTriggers())
        .entryFilter(Optional.empty())
        .leaveWhen(
            some.random.nextInt(3) > 0
                ? List.of()
                : List.of(
                    new LeaveRule(new Condition.Bought(what, Optional.empty()), Optional.empty())))
        .goal(
            some.sometimes(
                2,
                () ->
                    new Goal(
                        new Condition.Bought(some.purchases(), Optional.empty()),
                        1 + some.random.nextInt(40),
                        some.random.nextBoolean())))
        .secondaryGoals(List.of())
        .sendWindow(Optional.empty())
        .frequencyGuard(Optional.empty())
        .done();
  }

  private List<Trigger> plainTriggers() {
    List<Trigger> all =
        List.of(
            new Trigger.JoinsList(new ListName("other")),
            new Trigger.SubmitsForm(Optional.of(new FormName("Planner"))),
            new Trigger.GetsTag(new TagName("other")),
            new Trigger.PutIn());
    return all.subList(random.nextInt(3), 3 + random.nextInt(2));
  }

  /** The same people, who come but once. */
  public static Behaviour plainBehaviour(long seed) {
    Behaviour any = behaviour(seed);
    return any.edit()
        .groups(
            any.groups().stream()
                .map(group -> group.edit().comesAgain(Assumed.typical(0)).done())
                .toList())
        .done();
  }

  private Journey journey() {
    List<Step> body = new ArrayList<>();
    List<Trigger> triggers =
        random.nextBoolean() ? List.of(trigger()) : List.of(trigger(), trigger());
    while (steps > 0) {
      body.add(step(0));
    }
    return new Journey(
        "Random",
        pick(List.of(Purpose.values())),
        JourneyState.DRAFT,
        triggers,
        sometimes(3, () -> new Condition.None(List.of(recordCondition()))),
        reEntry(),
        random.nextInt(4) == 0 ? List.of(leaveRule()) : List.of(),
        random.nextInt(4) == 0 ? Optional.empty() : Optional.of(goal()),
        secondaryGoals(),
        sometimes(4, this::window),
        sometimes(4, () -> pick(ZONES)),
        sometimes(4, this::guard),
        sometimes(4, () -> "Ada of Ambercomb"),
        body);
  }

  private LeaveRule leaveRule() {
    return new LeaveRule(condition(1), sometimes(2, () -> new JourneyName("Another")));
  }

  private Goal goal() {
    return random.nextInt(3) == 0
        ? new Goal(recordCondition(), 1 + random.nextInt(40), random.nextBoolean())
        : Goal.bought(1 + random.nextInt(40), random.nextBoolean());
  }

  private List<SecondaryGoal> secondaryGoals() {
    return random.nextInt(3) == 0
        ? List.of(
            new SecondaryGoal(condition(1), 1 + random.nextInt(20)),
            new SecondaryGoal(recordCondition(), 21 + random.nextInt(40)))
        : List.of();
  }

  private ReEntry reEntry() {
    return switch (random.nextInt(4)) {
      case 0 -> new ReEntry.Never();
      case 1 -> new ReEntry.AfterHavingLeft();
      case 2 -> new ReEntry.AfterDays(1 + random.nextInt(20));
      default -> new ReEntry.EveryTime();
    };
  }

  private FrequencyGuard guard() {
    return new FrequencyGuard(
        1 + random.nextInt(3),
        1 + random.nextInt(7),
        pick(List.of(FrequencyGuard.Then.values())),
        random.nextInt(3) == 0);
  }

  private SendWindow window() {
    return new SendWindow(
        random.nextBoolean()
            ? TimeOfDay.EVERY_DAY
            : EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.TUESDAY, DayOfWeek.FRIDAY),
        LocalTime.of(8, 0),
        LocalTime.of(10 + random.nextInt(10), 0));
  }

  private Trigger trigger() {
    return switch (random.nextInt(13)) {
      case 0 -> new Trigger.JoinsList(list());
      case 1 -> new Trigger.GetsTag(tag());
      case 2 -> new Trigger.SubmitsForm(sometimes(2, () -> new FormName("Planner")));
      case 3 -> new Trigger.EntersSegment(new SegmentName("Keen"));
      case 4 -> new Trigger.OpensMessage(new MessageId("m1"));
      case 5 ->
          new Trigger.ClicksMessage(new MessageId("m1"), sometimes(2, () -> new LinkName("A")));
      case 6 -> new Trigger.LeavesCart(60);
      case 7 -> new Trigger.Buys(purchases());
      case 8 ->
          new Trigger.DateComes(
              RENEWAL, random.nextInt(60) - 30, time(), true, random.nextBoolean());
      case 9 -> new Trigger.OnDate(LocalDate.of(2027, 3, 25), time());
      case 10 -> new Trigger.EventArrives(new EventName("visit"), attributes(2));
      case 11 -> new Trigger.HandedOver();
      default -> new Trigger.PutIn();
    };
  }

  private List<Step> sequence(int depth) {
    List<Step> sequence = new ArrayList<>();
    int length = random.nextInt(3);
    for (int i = 0; i < length && steps > 0; i++) {
      sequence.add(step(depth));
    }
    if (depth > 0 && steps > 0 && random.nextInt(5) == 0) {
      steps--;
      sequence.add(new Step.Finish(nextId()));
    }
    return sequence;
  }

  private Step step(int depth) {
    steps--;
    StepId id = nextId();
    int kind = random.nextInt(depth < 3 ? 16 : 11);
    return switch (plain && kind == 3 ? 0 : kind) {
      case 0, 1, 2 -> email(id);
      case 3 ->
          new Step.SendText(
              id, new MessageId("t1"), onlyIf(), random.nextBoolean(), sometimes(5, this::window));
      case 4, 5, 6 -> new Step.Wait(id, waitRule());
      case 7, 8 -> new Step.Change(id, List.of(change(), change()));
      case 9 -> new Step.Notify(id, notice());
      case 10 ->
          plain || random.nextBoolean()
              ? include(id)
              : new Step.HandOver(id, new JourneyName("Another"), random.nextInt(4) == 0);
      case 11 -> split(id, depth);
      default -> branch(id, depth);
    };
  }

  private Step include(StepId id) {
    emails.add(new StepId(id + "/m"));
    return new Step.Include(id, new StrandId("spring"));
  }

  private Notice notice() {
    return random.nextBoolean()
        ? new Notice.Teammate("Bo", "Have a look")
        : new Notice.WebAddress("https://example.org/hook");
  }

  private Optional<Condition> onlyIf() {
    return sometimes(4, () -> condition(1));
  }

  private Step email(StepId id) {
    Optional<Condition> onlyIf = plain ? Optional.empty() : onlyIf();
    emails.add(id);
    List<Variant> variants =
        random.nextInt(4) == 0
            ? List.of(
                new Variant(nextId(), new MessageId("m1"), Optional.empty(), 30),
                new Variant(nextId(), new MessageId("m2"), Optional.of("Other"), 70))
            : List.of();
    return new Step.SendEmail(
        id,
        new MessageId("m" + (1 + random.nextInt(3))),
        sometimes(2, () -> "Again"),
        sometimes(4, () -> "Have a look"),
        sometimes(4, () -> "Bo"),
        variants,
        onlyIf,
        !plain && random.nextInt(4) == 0,
        random.nextInt(6) == 0,
        random.nextBoolean(),
        plain ? Optional.empty() : sometimes(5, this::window));
  }

  private Step split(StepId id, int depth) {
    double percent = random.nextInt(101);
    return new Step.SplitTest(
        id,
        List.of(
            new SplitArm(nextId(), percent, sequence(depth + 1)),
            new SplitArm(nextId(), 100 - percent, sequence(depth + 1))));
  }

  private Step branch(StepId id, int depth) {
    List<Arm> arms = new ArrayList<>();
    int count = 1 + random.nextInt(2);
    for (int i = 0; i < count; i++) {
      arms.add(new Arm(nextId(), condition(0), sequence(depth + 1)));
    }
    Optional<Amount> waitUpTo = random.nextBoolean() ? Optional.of(amount()) : Optional.empty();
    return new Step.Branch(id, waitUpTo, arms, new Otherwise(nextId(), sequence(depth + 1)));
  }

  private EmailRef email() {
    return switch (random.nextInt(6)) {
      case 0 -> new EmailRef.AnyOfJourney();
      case 1 -> new EmailRef.OfLast(1 + random.nextInt(3));
      default -> new EmailRef.OfStep(pick(emails));
    };
  }

  private Condition condition(int depth) {
    int kind = random.nextInt(depth < 2 ? 10 : 7);
    if (kind < 4 && !emails.isEmpty()) {
      Optional<Amount> within = sometimes(3, this::amount);
      return switch (kind) {
        case 0, 1 -> new Condition.Opened(email(), random.nextBoolean(), within);
        case 2 -> new Condition.Clicked(email(), sometimes(2, () -> new LinkName("A")), within);
        default -> plainOfEmail();
      };
    }
    if (kind < 7) {
      return recordCondition();
    }
    List<Condition> parts = List.of(condition(depth + 1), condition(depth + 1));
    return kind == 7
        ? new Condition.All(parts)
        : kind == 8 ? new Condition.Any(parts) : new Condition.None(parts);
  }

  private Condition plainOfEmail() {
    return switch (random.nextInt(plain ? 2 : 4)) {
      case 0 -> new Condition.Delivered(email());
      case 1 -> new Condition.Bounced(email());
      case 2 -> new Condition.OftenOpened(1 + random.nextInt(2), 3, random.nextBoolean());
      default -> new Condition.OftenClicked(1 + random.nextInt(2), 2);
    };
  }

  private Condition recordCondition() {
    Optional<Amount> within = sometimes(2, this::amount);
    return switch (plain ? pick(List.of(0, 2, 3, 4, 8, 9, 13, 15)) : random.nextInt(14)) {
      case 15 -> new Condition.Bought(purchases(), Optional.empty());
      case 0, 1 -> new Condition.HasTag(tag());
      case 11 -> new Condition.InCart(purchases());
      case 12 -> new Condition.CameByOrder(purchases());
      case 10 -> new Condition.IsNow(window());
      case 2 -> new Condition.HadTag(tag());
      case 3 -> new Condition.OnList(list());
      case 4 -> new Condition.InSegment(new SegmentName("Keen"));
      case 5 -> field();
      case 6 -> new Condition.Bought(purchases(), within);
      case 7 ->
          new Condition.Happened(
              new EventName("visit"), attributes(3), 1 + random.nextInt(3), within);
      case 8 -> new Condition.CameByForm(new FormName("Planner"));
      case 9 -> new Condition.CameByJourney(new JourneyName("Another"));
      default -> new Condition.CameByList(list());
    };
  }

  /**
   * @param kinds 2, or 3 with one that means another field
   */
  private List<Attribute> attributes(int kinds) {
    int kind = random.nextInt(2 * kinds);
    return switch (kind < kinds ? kind : -1) {
      case 0 -> List.of(attribute(HALL, Operator.EQUALS, new Operand.Words("a")));
      case 1 ->
          List.of(
              attribute(SEATS, Operator.AT_LEAST, new Operand.Number(2)),
              new Attribute(HALL, Operator.IS_EMPTY, List.of()));
      case 2 -> List.of(attribute(SEATS, Operator.LESS, new Operand.OtherField(HIVES)));
      default -> List.of();
    };
  }

  private static Attribute attribute(AttributeName name, Operator is, Operand value) {
    return new Attribute(name, is, List.of(value));
  }

  private Condition field() {
    return switch (random.nextInt(6)) {
      case 4 ->
          new Condition.Field(
              HIVES,
              Operator.LESS,
              List.of(new Operand.OtherField(pick(List.of(RENEWAL, new FieldName("frames"))))));
      case 0 ->
          new Condition.Field(
              RENEWAL,
              Operator.BETWEEN,
              List.of(new Operand.Today(-10), new Operand.Today(random.nextInt(40))));
      case 1 ->
          new Condition.Field(
              RENEWAL, Operator.LESS, List.of(new Operand.Date(LocalDate.of(2027, 5, 5))));
      case 2 ->
          new Condition.Field(
              HIVES, Operator.AT_LEAST, List.of(new Operand.Number(random.nextInt(5) / 2.0)));
      case 3 -> new Condition.Field(HIVES, Operator.IS_EMPTY, List.of());
      default ->
          new Condition.Field(
              new FieldName("town"), Operator.STARTS_WITH, List.of(new Operand.Words("Lin")));
    };
  }

  private Purchases purchases() {
    return new Purchases(
        sometimes(3, () -> new ProductName("Hive kit")),
        sometimes(3, () -> new CategoryName("Hives")),
        sometimes(3, () -> new Money(random.nextInt(9_000))));
  }

  private RecordChange change() {
    int kind = random.nextInt(26);
    return switch (plain && (kind == 18 || kind == 19) ? 0 : kind) {
      case 0, 1, 2, 3 -> new RecordChange.AddTag(tag());
      case 4, 5 -> new RecordChange.RemoveTag(tag());
      case 6, 7 -> new RecordChange.JoinList(list());
      case 8, 9 -> new RecordChange.LeaveList(list());
      case 10, 11 -> new RecordChange.CopyToList(list());
      case 12, 13 -> new RecordChange.MoveToList(list(), List.of(list()));
      case 14 -> new RecordChange.SetField(RENEWAL, new Operand.Today(random.nextInt(100)));
      case 15 -> new RecordChange.SetField(HIVES, new Operand.Number(2.5));
      case 16, 17 -> new RecordChange.ClearField(pick(List.of(RENEWAL, HIVES)));
      case 18 -> new RecordChange.Unsubscribe();
      case 19 -> new RecordChange.Erase();
      default -> new RecordChange.AddToField(HIVES, random.nextInt(7) - 3);
    };
  }

  private WaitRule waitRule() {
    TimeOfDay moment =
        new TimeOfDay(
            time(),
            random.nextBoolean()
                ? TimeOfDay.EVERY_DAY
                : EnumSet.of(DayOfWeek.TUESDAY, DayOfWeek.SATURDAY));
    int kind = random.nextInt(9);
    return switch (plain && kind == 6 ? 0 : kind) {
      case 0, 1 -> new WaitRule.For(amount(), Optional.empty());
      case 7 ->
          new WaitRule.UntilNthWeekday(
              pick(List.of(1, 2, 3, 4, WaitRule.UntilNthWeekday.LAST)),
              pick(List.of(DayOfWeek.values())),
              time());
      case 2 -> new WaitRule.For(amount(), Optional.of(moment));
      case 3 -> new WaitRule.Until(moment);
      case 4 ->
          new WaitRule.UntilDate(LocalDate.of(2027, 3, 1 + random.nextInt(28)), time(), past());
      case 5 -> new WaitRule.UntilDay(random.nextInt(20), sometimes(2, this::time), past());
      case 6 ->
          new WaitRule.AroundDate(
              RENEWAL,
              random.nextInt(20) - 10,
              time(),
              random.nextBoolean(),
              random.nextBoolean(),
              past());
      default -> new WaitRule.UntilHappens(condition(1), amount());
    };
  }

  private IfPast past() {
    return switch (random.nextInt(4)) {
      case 0 -> new IfPast.End();
      case 1 -> new IfPast.SkipTo(new StepId("s" + (ids + random.nextInt(6))));
      default -> new IfPast.GoOn();
    };
  }

  private LocalTime time() {
    return LocalTime.of(random.nextInt(24), 30);
  }

  private Amount amount() {
    return switch (random.nextInt(4)) {
      case 3 -> Amount.of(1 + random.nextInt(3), TimeUnit.WORKING_DAYS);
      case 0 -> Amount.of(0.5 + random.nextInt(20), TimeUnit.HOURS);
      case 1 -> Amount.of(1 + random.nextInt(90), TimeUnit.MINUTES);
      default -> Amount.of(1 + random.nextInt(6), TimeUnit.DAYS);
    };
  }

  /** Two groups of people who do everything the model knows. */
  public static Behaviour behaviour(long seed) {
    return new RandomJourneys(seed, 0).behaviour();
  }

  private Behaviour behaviour() {
    double share = random.nextInt(101) / 100.0;
    List<Double> hours = new ArrayList<>();
    for (int i = 0; i < Attention.WEEK; i++) {
      hours.add(i % 24 < 6 ? 0.1 : 1.0 + random.nextInt(3));
    }
    return TypicalBehaviour.in(ZONES.get(0))
        .edit()
        .groups(List.of(group("first", share), group("second", 1 - share)))
        .openMedianHours(Assumed.typical(0.5 + random.nextInt(10) / 2.0))
        .attention(
            random.nextBoolean()
                ? new Attention(hours, Origin.BY_HAND)
                : Attention.flat(Origin.TYPICAL))
        .buyAfterClick(Assumed.typical(0.2))
        .buyMeanHours(Assumed.typical(12))
        .offers(
            List.of(
                new Offer(new ProductName("Hive kit"), new CategoryName("Hives"), 1),
                new Offer(new ProductName("Smoker"), new CategoryName("Tools"), 3)))
        .tiredness(new Tiredness(Assumed.typical(2), Assumed.byHand(0.8), Assumed.byHand(1.5)))
        .fading(Assumed.byHand(random.nextBoolean() ? 1 : 0.9))
        .usual(
            new Reaction(
                Assumed.typical(1.1),
                Assumed.typical(0.3),
                Assumed.typical(0.05),
                Assumed.typical(0.01),
                List.of(3.0, 1.0)))
        .emails(Map.of(new StepId("s0"), Steps.reaction(2, 0.5, 0.01)))
        .done();
  }

  private AudienceGroup group(String name, double share) {
    return new AudienceGroup(
        name,
        share,
        new Keenness((1 + random.nextInt(9)) / 10.0, (1 + random.nextInt(9)) / 10.0),
        pick(ZONES),
        random.nextInt(12),
        13 + random.nextInt(12),
        Assumed.typical(0.2),
        Assumed.typical(0.03),
        Assumed.typical(0.05),
        Assumed.typical(0.7),
        Assumed.typical(0.1),
        Assumed.typical(0.2),
        Assumed.typical(15),
        Assumed.typical(random.nextBoolean() ? 0.4 : 0),
        random.nextInt(3) == 0 ? Set.of(tag()) : Set.of(),
        Set.of(list()),
        Map.of(
            RENEWAL,
            new FieldGuess.DateBetween(-900, 200),
            HIVES,
            new FieldGuess.NumberBetween(0, 4),
            new FieldName("frames"),
            new FieldGuess.WithField(new FieldName("town"), new FieldGuess.NumberBetween(0, 9)),
            new FieldName("town"),
            new FieldGuess.OneOf(
                List.of(
                    new FieldGuess.Choice(new Operand.Words("Lindau"), 0.4),
                    new FieldGuess.Choice(new Operand.Words("Ulm"), 0.3)))),
        Map.of(new EventName("visit"), Assumed.typical(3)),
        Map.of(
            HALL,
            new FieldGuess.OneOf(
                List.of(
                    new FieldGuess.Choice(new Operand.Words("A"), 0.4),
                    new FieldGuess.Choice(new Operand.Words("B"), 0.3))),
            SEATS,
            new FieldGuess.NumberBetween(0, 5)));
  }

  private StepId nextId() {
    return new StepId("s" + ids++);
  }

  private TagName tag() {
    return new TagName(pick(NAMES));
  }

  private ListName list() {
    return new ListName(pick(NAMES));
  }

  private <T> Optional<T> sometimes(int oneIn, java.util.function.Supplier<T> make) {
    return random.nextInt(oneIn) == 0 ? Optional.of(make.get()) : Optional.empty();
  }

  private <T> T pick(List<T> from) {
    return from.get(random.nextInt(from.size()));
  }

  /** For one of the catalogue's emails, a manuscript with all the links that are asked about. */
  public static Map<MessageId, Manuscript> manuscripts(long seed) {
    List<Message> emails =
        CATALOGUE.messages().stream().filter(one -> one.channel() == Channel.EMAIL).toList();
    Message one = emails.get((int) (seed % emails.size()));
    Manuscript letter = RandomLetters.email(seed);
    List<LinkName> links = new ArrayList<>(LinksIn.names(letter));
    one.links().stream().filter(link -> !links.contains(link)).forEach(links::add);
    Message asked = new Message(one.id(), one.name(), one.content(), links, one.voucher());
    return Map.of(one.id(), SeenByJourneys.take(letter, asked));
  }
}
