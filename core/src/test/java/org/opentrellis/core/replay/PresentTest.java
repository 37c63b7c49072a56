package org.opentrellis.core.replay;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.opentrellis.core.testing.Steps.MESSAGES;
import static org.opentrellis.core.testing.Steps.branch;
import static org.opentrellis.core.testing.Steps.finish;
import static org.opentrellis.core.testing.Steps.hasTag;
import static org.opentrellis.core.testing.Steps.id;
import static org.opentrellis.core.testing.Steps.opened;
import static org.opentrellis.core.testing.Steps.pause;
import static org.opentrellis.core.testing.Steps.send;
import static org.opentrellis.core.testing.Steps.tag;
import static org.opentrellis.core.testing.Steps.waits;

import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.SendWindow;
import org.opentrellis.core.calendar.TimeOfDay;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.happening.Line;
import org.opentrellis.core.happening.MessageRef;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.CategoryName;
import org.opentrellis.core.journey.Channel;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Money;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.Operator;
import org.opentrellis.core.journey.Product;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.journey.Purchases;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.ReEntry;
import org.opentrellis.core.journey.Segment;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.journey.WaitRule;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.walk.Diary;
import org.opentrellis.core.walk.Turn;

/** What the machine makes of the present, with hours after Monday, 1 March 2027 as time. */
class PresentTest {
  private static final long MONDAY = Instant.parse("2027-03-01T00:00:00Z").getEpochSecond();
  private static final long HOUR = 3_600;
  private static final JourneyName FIRST = new JourneyName("First");
  private static final ProductName KIT = new ProductName("Kit");
  private static final ProductName JAR = new ProductName("Jar");
  private static final TagName READY = new TagName("ready");
  private static final FieldName HIVES = new FieldName("hives");
  private static final Trigger LIST = new Trigger.JoinsList(new ListName("Readers"));

  private final Diary diary = new Diary();
  private Replay replay;

  private static Journey journey(Trigger trigger, Step... body) {
    return journey("First", trigger, body);
  }

  private static Journey journey(String name, Trigger trigger, Step... body) {
    return Journey.empty(name, Purpose.NURTURE)
        .edit()
        .triggers(List.of(trigger))
        .reEntry(new ReEntry.EveryTime())
        .body(Arrays.asList(body))
        .done();
  }

  private void begins(Journey... journeys) {
    begins(MESSAGES, journeys);
  }

  private void begins(Catalogue catalogue, Journey... journeys) {
    List<Product> products =
        List.of(
            new Product(KIT, new CategoryName("Hives")),
            new Product(JAR, new CategoryName("Honey")));
    World world = World.compile(List.of(journeys), catalogue, products);
    ZoneClock clock = ZoneClock.around(ZoneOffset.UTC, Instant.ofEpochSecond(MONDAY), 100);
    replay =
        new Replay(world.newPerson(clock), (step, ways, visit) -> 0, (message, at) -> {}, diary);
  }

  private static long at(double hours) {
    return MONDAY + (long) (hours * HOUR);
  }

  private void tell(double hours, Happening... happenings) {
    replay.takes(List.of(happenings), at(hours));
  }

  private static Happening joins(double hours) {
    return new Happening.Joined(at(hours), new ListName("Readers"));
  }

  private static MessageRef message(String step) {
    return new MessageRef(FIRST, 0, id(step));
  }

  private static Happening order(double hours, String number, ProductName... products) {
    List<Line> lines =
        Arrays.stream(products).map(one -> new Line(one, 1, new Money(500))).toList();
    return new Happening.Ordered(at(hours), number, lines, new Money(4_200), Optional.empty());
  }

  /** What happened, with the hour. */
  private List<String> story() {
    return diary.turns().stream()
        .filter(turn -> turn.kind() != Turn.Kind.GOT_TO && turn.kind() != Turn.Kind.WENT_ON)
        .map(turn -> turn.kind() + name(turn) + " " + (turn.at() - MONDAY) / (double) HOUR)
        .toList();
  }

  private String name(Turn turn) {
    return turn.step() < 0
        ? ""
        : " " + replay.person().visit(0).program().steps().get(turn.step()).id();
  }

  private List<String> sent() {
    return story().stream().filter(line -> line.startsWith("SENT")).toList();
  }

  private long entered() {
    return story().stream().filter(line -> line.startsWith("ENTERED")).count();
  }

  @Test
  void whoHasWaitedSinceMondayAndIsTaggedOnThursdayGoesOnOnThursday() {
    begins(
        journey(
            LIST,
            waits(
                "w",
                new WaitRule.UntilHappens(
                    new Condition.HasTag(READY), Amount.of(10, TimeUnit.DAYS))),
            send("a")));
    tell(9, joins(9));
    tell(80, new Happening.Tagged(at(80), READY));
    assertThat(sent()).containsExactly("SENT a 80.0");
  }

  @Test
  void anOpenThatIsToldAnHourLateCountsWithItsOwnTimeAndActsNow() {
    Condition soon =
        new Condition.Opened(
            new org.opentrellis.core.journey.EmailRef.OfStep(id("a")),
            false,
            Optional.of(Amount.of(2, TimeUnit.HOURS)));
    begins(
        journey(
            LIST,
            send("a"),
            branch("b", soon, Amount.of(5, TimeUnit.DAYS), List.of(send("c")), List.of())));
    tell(9, joins(9));
    tell(12, new Happening.Opened(at(11), message("a")));
    assertThat(sent()).containsExactly("SENT a 9.0", "SENT c 12.0");
  }

  @Test
  void whatIsKnownLateChangesNoDecision() {
    begins(
        journey(
            LIST,
            send("a"),
            branch("b", opened("a"), Amount.of(1, TimeUnit.DAYS), List.of(send("c")), List.of()),
            pause("w", 9, TimeUnit.DAYS)));
    tell(9, joins(9));
    replay.passes(at(34));
    tell(35, new Happening.Opened(at(10), message("a")));
    assertThat(story()).contains("TOOK b 33.0").doesNotContain("SENT c 35.0");
  }

  /** Nobody looked from the first day to the fifth; the deadline was at 33. */
  @Test
  void aDecisionThatIsOverdueIsTakenNowByWhatWasSoAtItsDeadline() {
    for (double openedAt : new double[] {33, 34}) {
      diary.turns();
      begins(
          journey(
              LIST,
              send("a"),
              branch(
                  "b",
                  opened("a"),
                  Amount.of(1, TimeUnit.DAYS),
                  List.of(tag("yes", "yes")),
                  List.of(tag("no", "no")))));
      tell(9, joins(9));
      tell(100, new Happening.Opened(at(openedAt), message("a")));
      int way =
          diary.turns().stream()
              .filter(turn -> turn.kind() == Turn.Kind.TOOK)
              .reduce((one, other) -> other)
              .orElseThrow()
              .detail();
      assertThat(way).isEqualTo(openedAt > 33 ? 1 : 0);
      assertThat(story()).contains("TOOK b 100.0");
    }
  }

  /**
   * Due at nine, looked at again at eight in the evening: mail goes out at nine of the next day.
   */
  @Test
  void theWindowJudgesTheMomentAtWhichMailReallyLeaves() {
    begins(
        journey(LIST, waits("w", until(9)), send("a"))
            .edit()
            .sendWindow(
                Optional.of(
                    new SendWindow(TimeOfDay.EVERY_DAY, LocalTime.of(9, 0), LocalTime.of(18, 0))))
            .done());
    tell(7, joins(7));
    replay.advance(at(20));
    replay.passes(at(50));
    assertThat(sent()).containsExactly("SENT a 33.0");
  }

  private static WaitRule until(int hour) {
    return new WaitRule.Until(TimeOfDay.daily(LocalTime.of(hour, 0)));
  }

  @Test
  void aGoalThatIsToldLateIsMetWhenItHappenedAndTheyLeaveNow() {
    begins(
        journey(LIST, pause("w", 30, TimeUnit.DAYS))
            .edit()
            .goal(Optional.of(Goal.bought(2, true)))
            .done());
    tell(0, joins(0));
    tell(60, order(40, "1", KIT));
    Visit visit = replay.person().visit(0);
    assertThat(visit.goalMetAt(at(100))).isEqualTo(at(40));
    assertThat(story()).contains("LEFT w 60.0");
  }

  @Test
  void whoComesBackByTheirOwnActMayBeMailedAgainButHasLeftWhatTheyLeft() {
    begins(journey(LIST, pause("w", 1, TimeUnit.DAYS), send("a")));
    tell(0, joins(0));
    tell(
        10,
        new Happening.ConsentWithdrawn(at(5), Channel.EMAIL, Optional.empty()),
        new Happening.ConsentGiven(at(6), Channel.EMAIL));
    assertThat(story()).contains("LEFT w 10.0");
    tell(11, new Happening.LeftList(at(11), new ListName("Readers")), joins(11));
    // What is told late of the time before they came back makes them no more lost.
    tell(12, new Happening.ConsentWithdrawn(at(4), Channel.EMAIL, Optional.empty()));
    replay.passes(at(100));
    assertThat(sent()).containsExactly("SENT a 35.0");
    tell(101, new Happening.Erased(at(101)), new Happening.ConsentGiven(at(101), Channel.EMAIL));
    assertThat(replay.person().goneAt()).isEqualTo(at(101));
  }

  @Test
  void whatChangesOutsideSetsJourneysOffAsStepsDo() {
    begins(
        journey(new Trigger.GetsTag(READY), finish("f")),
        journey("Form", new Trigger.SubmitsForm(Optional.of(new FormName("Planner"))), finish("f")),
        journey("Any form", new Trigger.SubmitsForm(Optional.empty()), finish("f")));
    tell(1, new Happening.Tagged(at(1), READY));
    tell(2, new Happening.Tagged(at(2), READY));
    assertThat(entered()).isEqualTo(1);
    tell(3, new Happening.Untagged(at(3), READY), new Happening.Tagged(at(3), READY));
    assertThat(entered()).isEqualTo(2);
    tell(4, new Happening.FormSubmitted(at(4), new FormName("Planner"), Map.of()));
    assertThat(entered()).isEqualTo(4);
    tell(5, new Happening.FormSubmitted(at(5), new FormName("Other"), Map.of()));
    assertThat(entered()).isEqualTo(5);
  }

  /** More than 64 of them, entered by a field, by a purchase, and left by time alone. */
  @Test
  void segmentsAreEnteredByWhateverBringsSomebodyIntoThem() {
    List<Segment> segments = new ArrayList<>();
    List<Journey> journeys = new ArrayList<>();
    IntStream.range(0, 70)
        .forEach(
            n -> {
              SegmentName name = new SegmentName("At least " + n);
              segments.add(
                  new Segment(
                      name,
                      new Condition.Field(
                          HIVES, Operator.AT_LEAST, List.of(new Operand.Number(n)))));
              journeys.add(journey("Hives " + n, new Trigger.EntersSegment(name), finish("f")));
            });
    SegmentName buyers = new SegmentName("Buyers");
    Purchases kits = new Purchases(Optional.of(KIT), Optional.empty(), Optional.empty());
    segments.add(
        new Segment(buyers, new Condition.Bought(kits, Optional.of(Amount.of(2, TimeUnit.DAYS)))));
    journeys.add(journey("Buyers", new Trigger.EntersSegment(buyers), finish("f")));
    SegmentName others = new SegmentName("No buyers");
    segments.add(new Segment(others, new Condition.None(List.of(new Condition.InSegment(buyers)))));
    journeys.add(journey("Others", new Trigger.EntersSegment(others), finish("f")));
    begins(
        new Catalogue(MESSAGES.messages(), List.of(), segments), journeys.toArray(Journey[]::new));
    tell(1, new Happening.FieldChanged(at(1), HIVES, Optional.of(new Operand.Number(67))));
    assertThat(entered()).isEqualTo(68);
    tell(2, new Happening.FieldChanged(at(2), HIVES, Optional.of(new Operand.Number(69))));
    assertThat(entered()).isEqualTo(70);
    tell(3, order(3, "1", JAR));
    assertThat(entered()).isEqualTo(70);
    tell(4, order(4, "2", KIT));
    assertThat(entered()).isEqualTo(71);
    replay.passes(at(100));
    assertThat(entered()).isEqualTo(72);
    assertThat(story().get(story().size() - 1)).startsWith("FINISHED").contains(" 52.0");
  }

  @Test
  void aCartIsLeftSomeTimeAfterItsLastChangeUnlessItIsBoughtOrEmptied() {
    begins(journey(new Trigger.LeavesCart(60), finish("f")));
    Line kit = new Line(KIT, 1, new Money(4_200));
    tell(1, new Happening.CartChanged(at(1), List.of(kit)));
    replay.passes(at(1.9));
    tell(1.9, new Happening.CartChanged(at(1.9), List.of(kit, kit)));
    replay.passes(at(2.8));
    assertThat(entered()).isZero();
    replay.passes(at(3));
    assertThat(story()).contains("ENTERED_JOURNEY 2.9");
    tell(5, new Happening.CartChanged(at(5), List.of(kit)));
    tell(5.5, order(5.5, "1", KIT));
    tell(8, new Happening.CartChanged(at(8), List.of(kit)));
    tell(8.5, new Happening.CartChanged(at(8.5), List.of()));
    replay.passes(at(20));
    assertThat(entered()).isEqualTo(1);
  }

  /** As a cart changes, is bought, or an order is told hours late. */
  @Test
  void cartsAndOrdersAreAskedForWhatTheyHold() {
    Purchases jar = new Purchases(Optional.of(JAR), Optional.empty(), Optional.empty());
    Condition both =
        new Condition.All(
            List.of(new Condition.InCart(jar), new Condition.CameByOrder(Purchases.ANY)));
    WaitRule until = new WaitRule.UntilHappens(both, Amount.of(3, TimeUnit.DAYS));
    begins(
        journey(
            new Trigger.Buys(Purchases.ANY),
            branch(
                "b", new Condition.CameByOrder(jar), null, List.of(waits("w", until)), List.of()),
            send("a")));
    tell(9, order(1, "1", KIT, JAR), order(2, "2", KIT));
    assertThat(story())
        .containsExactly(
            "ENTERED_JOURNEY 9.0",
            "ENTERED_JOURNEY 9.0",
            "TOOK b 9.0",
            "TOOK b 9.0",
            "SENT a 9.0",
            "FINISHED a 9.0");
    Line kit = new Line(KIT, 1, new Money(4_200));
    tell(10, new Happening.CartChanged(at(10), List.of(kit)));
    tell(11, new Happening.CartChanged(at(11), List.of(kit, new Line(JAR, 2, new Money(900)))));
    assertThat(sent()).containsExactly("SENT a 9.0", "SENT a 11.0");
  }

  /** What was bought lies in no cart any more. */
  @Test
  void aCartThatWasBoughtHoldsNothing() {
    Condition dear =
        new Condition.InCart(
            new Purchases(Optional.empty(), Optional.empty(), Optional.of(new Money(5_000))));
    begins(
        journey(
            LIST,
            pause("p", 2, TimeUnit.HOURS),
            branch("b", dear, null, List.of(send("a")), List.of())));
    Line kit = new Line(KIT, 1, new Money(4_200));
    tell(1, joins(1), new Happening.CartChanged(at(1), List.of(kit)));
    tell(2, joins(2), new Happening.CartChanged(at(2), List.of(kit, kit)));
    replay.passes(at(3));
    assertThat(sent()).containsExactly("SENT a 3.0");
    tell(3.5, order(3.5, "1", KIT));
    replay.passes(at(5));
    assertThat(sent()).hasSize(1);
  }

  @Test
  void anOrderOfSeveralProductsIsOnePurchase() {
    Purchases dear =
        new Purchases(Optional.empty(), Optional.empty(), Optional.of(new Money(4_000)));
    begins(
        journey(
            new Trigger.Buys(dear),
            branch(
                "b",
                new Condition.Bought(
                    new Purchases(Optional.of(JAR), Optional.empty(), Optional.empty()),
                    Optional.of(Amount.of(1, TimeUnit.DAYS))),
                null,
                List.of(send("a")),
                List.of())));
    tell(1, order(1, "1", KIT, JAR));
    assertThat(story())
        .containsExactly("ENTERED_JOURNEY 1.0", "TOOK b 1.0", "SENT a 1.0", "FINISHED a 1.0");
    assertThat(replay.takes(order(1, "1", KIT, JAR))).isEqualTo(Replay.Noted.TWICE);
    assertThat(entered()).isEqualTo(1);
  }

  @Test
  void peopleArePutInTakenOutAndStopped() {
    begins(journey(LIST, pause("w", 9, TimeUnit.DAYS)), journey("Other", LIST, finish("f")));
    tell(1, new Happening.PutIn(at(1), FIRST));
    assertThat(entered()).isEqualTo(1);
    tell(2, new Happening.TakenOut(at(2), FIRST));
    assertThat(story()).contains("LEFT w 2.0");
    tell(3, joins(3));
    tell(4, new Happening.Closed(at(4), FIRST));
    assertThat(replay.person().visits()).filteredOn(visit -> !visit.over()).hasSize(1);
    tell(5, new Happening.PutIn(at(5), FIRST));
    assertThat(story())
        .as("a closed door tells nobody off")
        .doesNotContain("MAY_NOT_ENTER_AGAIN 5.0");
    tell(6, new Happening.Stopped(at(6), FIRST));
    assertThat(story()).contains("LEFT w 6.0");
    assertThat(replay.person().visits()).allMatch(Visit::over);
  }

  /** As if the time were over; but nothing goes out that may not yet. */
  @Test
  void whoeverIsPutForwardGoesOnAtOnce() {
    begins(
        journey(
            LIST,
            send("a"),
            pause("w", 9, TimeUnit.DAYS),
            branch(
                "b",
                opened("a"),
                Amount.of(5, TimeUnit.DAYS),
                List.of(send("yes")),
                List.of(send("no"))),
            send("z")));
    tell(1, joins(1));
    tell(2, new Happening.PutForward(at(2), FIRST));
    assertThat(story()).contains("SENT a 1.0").doesNotContain("SENT no 2.0");
    tell(3, new Happening.PutForward(at(3), FIRST));
    assertThat(story()).endsWith("SENT no 3.0", "SENT z 3.0", "FINISHED z 3.0");
    tell(4, new Happening.PutForward(at(4), FIRST));
    assertThat(story()).as("nobody is inside any more").endsWith("FINISHED z 3.0");
  }

  /** Stands at a wait that is longer in the new version, at one that is gone, in an arm that is. */
  @Test
  void whoIsInsideMovesOnByStep() {
    Journey longer = journey(LIST, send("a"), pause("w", 5, TimeUnit.DAYS), send("c"));
    Journey without = journey(LIST, send("a"), send("c")).edit().name("First").done();
    Journey arms =
        journey(
            LIST,
            branch(
                "b",
                hasTag("x"),
                null,
                List.of(),
                List.of(pause("inside", 2, TimeUnit.DAYS), send("gone"))),
            send("c"));
    Journey before = journey(LIST, send("a"), pause("w", 2, TimeUnit.DAYS), send("c"));
    assertThat(moved(before, longer)).containsExactly("SENT a 0.0", "SENT c 120.0");
    assertThat(moved(before, without)).containsExactly("SENT a 0.0", "SENT c 24.0");
    assertThat(moved(arms, without)).containsExactly("SENT c 24.0");
    assertThat(moved(before, journey(LIST, send("a")))).containsExactly("SENT a 0.0");
    Turn last = diary.turns().get(diary.turns().size() - 1);
    assertThat(last.kind()).isEqualTo(Turn.Kind.FINISHED);
    assertThat(last.at()).isEqualTo(at(24));
    assertThat(stayed(before, without)).containsExactly("SENT a 0.0", "SENT c 48.0");
  }

  private List<String> moved(Journey before, Journey after) {
    return published(before, after, true);
  }

  private List<String> stayed(Journey before, Journey after) {
    return published(before, after, false);
  }

  private List<String> published(Journey before, Journey after, boolean takesAlong) {
    int told = diary.turns().size();
    begins(before);
    tell(0, joins(0));
    tell(24, new Happening.Published(at(24), after, 2, takesAlong));
    List<String> sent = new ArrayList<>();
    replay.passes(at(300));
    for (Turn turn : diary.turns().subList(told, diary.turns().size())) {
      if (turn.kind() == Turn.Kind.SENT) {
        Journey of = turn.at() < at(24) || !takesAlong ? before : after;
        String step = of.steps().toList().get(turn.step()).id().value();
        sent.add("SENT " + step + " " + (turn.at() - MONDAY) / (double) HOUR);
      }
    }
    return sent;
  }

  @Test
  void whatIsUnknownChangesNothingAndWhatLiesAheadIsRefused() {
    begins(journey(LIST, send("a")));
    tell(1, joins(1));
    assertThat(replay.takes(new Happening.Opened(at(2), message("nowhere"))))
        .isEqualTo(Replay.Noted.UNKNOWN);
    assertThat(replay.takes(new Happening.PutIn(at(2), new JourneyName("Nowhere"))))
        .isEqualTo(Replay.Noted.UNKNOWN);
    assertThatThrownBy(() -> tell(3, joins(4)))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("has not happened yet");
  }
}
