package org.opentrellis.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.opentrellis.core.testing.Steps.BERLIN;
import static org.opentrellis.core.testing.Steps.MESSAGE;
import static org.opentrellis.core.testing.Steps.MESSAGES;
import static org.opentrellis.core.testing.Steps.branch;
import static org.opentrellis.core.testing.Steps.finish;
import static org.opentrellis.core.testing.Steps.hasTag;
import static org.opentrellis.core.testing.Steps.id;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.onlyOpens;
import static org.opentrellis.core.testing.Steps.opened;
import static org.opentrellis.core.testing.Steps.openedByPeople;
import static org.opentrellis.core.testing.Steps.pause;
import static org.opentrellis.core.testing.Steps.send;
import static org.opentrellis.core.testing.Steps.tag;
import static org.opentrellis.core.testing.Steps.untilNine;
import static org.opentrellis.core.testing.Steps.waits;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.FieldGuess;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.behaviour.TypicalBehaviour;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.SendWindow;
import org.opentrellis.core.calendar.TimeOfDay;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.journey.Arm;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.FormName;
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
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.Operator;
import org.opentrellis.core.journey.Otherwise;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.journey.Purchases;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.ReEntry;
import org.opentrellis.core.journey.RecordChange;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.journey.SplitArm;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepEdits;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.StrandId;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.journey.Variant;
import org.opentrellis.core.journey.WaitRule;
import org.opentrellis.core.problem.Severity;
import org.opentrellis.core.testing.RandomJourneys;
import org.opentrellis.core.testing.Steps;

/** Each check fires where it should, keeps still where it should, and its fix mends. */
class ChecksTest {
  private static final Behaviour PEOPLE = onlyOpens(new Keenness(0.4, 0.2));
  private static final LocalDate TODAY = LocalDate.parse("2027-01-15");
  private static final Condition TAGGED = hasTag("keeper");

  private static List<Finding> find(String code, Journey journey, Journey... others) {
    return find(code, journey, PEOPLE, MESSAGES, others);
  }

  private static List<Finding> find(
      String code, Journey journey, Behaviour people, Catalogue catalogue, Journey... others) {
    List<Neighbour> neighbours =
        Stream.of(others).map(other -> Neighbour.of(other, catalogue)).toList();
    CheckContext context =
        new CheckContext(journey, catalogue, people, neighbours, Set.of(), TODAY);
    return Checks.run(context).stream().filter(finding -> finding.code().equals(code)).toList();
  }

  /** Fires once, at the step, and is gone when it is mended. */
  private static Finding fixed(String code, Journey bad) {
    Finding finding = find(code, bad).get(0);
    assertThat(finding.sentence()).endsWith(".");
    assertThat(find(code, finding.fix().orElseThrow().mended())).isEmpty();
    return finding;
  }

  private static void fires(String code, Journey bad, Journey good) {
    assertThat(find(code, bad)).as("bad").hasSize(1);
    assertThat(find(code, bad).get(0).sentence()).endsWith(".");
    assertThat(find(code, good)).as("good").isEmpty();
  }

  private static Journey of(Purpose purpose, Trigger... triggers) {
    return Journey.empty("A test", purpose)
        .edit()
        .triggers(List.of(triggers))
        .body(List.of(send("a")))
        .done();
  }

  private static Journey triggered(Trigger... triggers) {
    return of(Purpose.OTHER, triggers);
  }

  private static Step day(String id, int day) {
    return new Step.Wait(
        new StepId(id),
        new WaitRule.UntilDay(day, Optional.of(LocalTime.of(9, 0)), new IfPast.GoOn()));
  }

  private static Step ask(String id, Condition condition) {
    return branch(id, condition, null, List.of(), List.of());
  }

  @Test
  void noTrigger() {
    fires("no-trigger", triggered(), triggered(new Trigger.PutIn()));
    assertThat(find("no-trigger", triggered()).get(0).severity()).isEqualTo(Severity.ERROR);
  }

  @Test
  void emailNotSentBefore() {
    Journey before = journey(ask("b", opened("a")), send("a"));
    assertThat(find("email-not-sent-before", before))
        .singleElement()
        .satisfies(finding -> assertThat(finding.step()).contains(new StepId("b")))
        .satisfies(finding -> assertThat(finding.sentence()).contains("opened \u201cHello\u201d?"));
    fires("email-not-sent-before", before, journey(send("a"), before.body().get(0)));
    fires(
        "email-not-sent-before",
        journey(send("a").edit().onlyIf(Optional.of(opened("z"))).done(), send("z")),
        journey(send("z"), send("a").edit().onlyIf(Optional.of(opened("z"))).done()));
  }

  @Test
  void anEmailOfAnotherArmCannotHaveBeenSentInThisOne() {
    Step asks = ask("c", opened("a"));
    Journey otherArm = journey(branch("b", TAGGED, null, List.of(send("a")), List.of(asks)));
    Journey behind = journey(branch("b", TAGGED, null, List.of(send("a")), List.of()), asks);
    Journey onlyWhoFinished =
        journey(branch("b", TAGGED, null, List.of(send("a"), finish("f")), List.of()), asks);
    fires("email-not-sent-before", otherArm, behind);
    fires("email-not-sent-before", onlyWhoFinished, behind);
  }

  @Test
  void missingReferences() {
    Journey here = journey(new Step.Include(id("i"), new StrandId("gone")));
    fires("missing-reference", here, journey(send("a")));
    Journey over = journey(new Step.HandOver(id("h"), new JourneyName("Season"), true));
    assertThat(find("missing-reference", over)).hasSize(1);
    assertThat(find("missing-reference", over, journey(send("x")).edit().name("Season").done()))
        .isEmpty();
    Step linked = Step.SendEmail.of(id("l"), new MessageId("linked"));
    Condition good =
        new Condition.Clicked(Steps.of("l"), Optional.of(new LinkName("A")), Optional.empty());
    Condition bad =
        new Condition.Clicked(Steps.of("l"), Optional.of(new LinkName("Z")), Optional.empty());
    fires("missing-reference", journey(linked, ask("b", bad)), journey(linked, ask("b", good)));
    fires(
        "missing-reference",
        journey(ask("b", new Condition.InSegment(new SegmentName("Keen")))),
        journey(send("a")));
    fires(
        "missing-reference",
        triggered(new Trigger.EntersSegment(new SegmentName("Keen"))),
        triggered(
            new Trigger.ClicksMessage(new MessageId("linked"), Optional.of(new LinkName("B")))));
  }

  @Test
  void weightsThatDoNotMakeAHundred() {
    Journey bad = journey(Steps.split("s", 60, List.of(), List.of()));
    Journey broken =
        StepEdits.change(
            bad,
            id("s"),
            step ->
                new Step.SplitTest(
                    id("s"),
                    List.of(
                        new SplitArm(id("x"), 60, List.of()),
                        new SplitArm(id("y"), 30, List.of()),
                        new SplitArm(id("z"), 5, List.of()))));
    fires("weights-not-whole", broken, bad);
    assertThat(fixed("weights-not-whole", broken).sentence()).contains("make 95%");
    Variant half = new Variant(id("v"), MESSAGE, Optional.empty(), 50);
    fixed("weights-not-whole", journey(send("a").edit().variants(List.of(half)).done()));
  }

  @Test
  void armsThatNobodyTakes() {
    Otherwise rest = new Otherwise(id("r"), List.of());
    Step twice =
        new Step.Branch(
            id("b"),
            Optional.empty(),
            List.of(new Arm(id("x"), TAGGED, List.of()), new Arm(id("y"), TAGGED, List.of())),
            rest);
    fires("arm-never-taken", journey(twice), journey(ask("b", TAGGED)));
    Condition both = new Condition.All(List.of(TAGGED, new Condition.None(List.of(TAGGED))));
    fires("arm-never-taken", journey(ask("b", both)), journey(ask("b", TAGGED)));
    fires(
        "arm-never-taken",
        journey(Steps.split("s", 100, List.of(), List.of())),
        journey(Steps.split("s", 50, List.of(), List.of())));
    assertThat(ArmNeverTaken.covers(opened("a"), openedByPeople("a"))).isTrue();
    assertThat(ArmNeverTaken.covers(openedByPeople("a"), opened("a"))).isFalse();
  }

  @Test
  void stepsBehindTheEnd() {
    Journey bad = journey(finish("f"), send("a"), send("b"));
    assertThat(fixed("steps-behind-finish", bad).sentence()).contains("2 steps are lost");
    Journey bothArms =
        journey(branch("b", TAGGED, null, List.of(finish("x")), List.of(finish("y"))), send("z"));
    fires("steps-behind-finish", bothArms, journey(send("z"), finish("f")));
    fires(
        "steps-behind-finish",
        journey(new Step.HandOver(id("h"), new JourneyName("S"), true), send("z")),
        journey(new Step.HandOver(id("h"), new JourneyName("S"), false), send("z")));
  }

  @Test
  void circlesWithoutAWait() {
    Journey tags =
        journey(tag("t", "x"))
            .edit()
            .triggers(List.of(new Trigger.GetsTag(new TagName("x"))))
            .done();
    Journey waits = tags.withBody(List.of(pause("w", 1, TimeUnit.DAYS), tag("t", "x")));
    fires("circle-without-wait", tags, waits);
  }

  @Test
  void cartAndDateJourneysNeedTheirData() {
    fires(
        "no-cart-trigger",
        of(Purpose.CART, new Trigger.PutIn()),
        of(Purpose.CART, new Trigger.LeavesCart(60)));
    Trigger date = new Trigger.DateComes(new FieldName("until"), -7, LocalTime.NOON, true, false);
    fires(
        "no-date-trigger",
        of(Purpose.DATE_BASED, new Trigger.PutIn()),
        of(Purpose.DATE_BASED, date));
    assertThat(find("no-dates", triggered(date))).hasSize(1);
    var dated =
        Steps.group(
            new Keenness(0.4, 0.2),
            0,
            0,
            Map.of(new FieldName("until"), new FieldGuess.DateBetween(0, 9)));
    assertThat(find("no-dates", triggered(date), Steps.behaviour(dated, 0), MESSAGES)).isEmpty();
  }

  /** The share is the lognormal's: median 2 h, sigma 1.9389829614324, F(8 h) .762682976947 (R). */
  @Test
  void openedTooSoon() {
    assertThat(OpenedTooSoon.openedWithin(8, PEOPLE)).isCloseTo(0.762682976947134, within(1e-12));
    assertThat(OpenedTooSoon.openedWithin(2, PEOPLE)).isCloseTo(0.5, within(1e-12));
    assertThat(OpenedTooSoon.openedWithin(0, PEOPLE)).isZero();
    Journey hasty = journey(send("a"), pause("w", 30, TimeUnit.MINUTES), ask("b", opened("a")));
    assertThat(fixed("opened-too-soon", hasty).sentence())
        .contains("about 30 minutes after it is sent")
        .contains("about 24%");
    Step patient = branch("b", opened("a"), Amount.of(3, TimeUnit.HOURS), List.of(), List.of());
    fires("opened-too-soon", hasty, journey(send("a"), patient));
  }

  @Test
  void opensThatAreNotTracked() {
    Step.SendEmail plain = send("a");
    Step.SendEmail blind = plain.edit().untracked(true).done();
    Step day = pause("w", 1, TimeUnit.DAYS);
    Journey bad = journey(blind, day, ask("b", opened("a")));
    fires("untracked-opens", bad, journey(plain, day, ask("b", opened("a"))));
    fixed("untracked-opens", bad);
    assertThat(find("untracked-opens", journey(blind, day, ask("b", openedByPeople("a")))))
        .isNotEmpty();
    assertThat(find("untracked-opens", journey(blind))).isEmpty();
  }

  /**
   * Of q pre-loading and m reading, independent: q(1-m) of q + m - qm are machines'. By algebra.
   */
  @Test
  void opensThatAreMostlyMachines() {
    var typical = TypicalBehaviour.in(BERLIN);
    assertThat(MostlyPreloads.share(typical.groups()))
        .isCloseTo(0.18 * 0.62 / (0.18 + 0.38 - 0.18 * 0.38), within(1e-12));
    var group = TypicalBehaviour.group("Quiet", 1, new Keenness(0.1, 0.2), BERLIN);
    var quiet = typical.edit().groups(List.of(group)).done();
    Journey bad = journey(send("a"), pause("w", 1, TimeUnit.DAYS), ask("b", opened("a")));
    assertThat(find("mostly-preloads", bad)).isEmpty();
    Finding finding = find("mostly-preloads", bad, quiet, MESSAGES).get(0);
    assertThat(finding.sentence()).contains("About 62%");
    assertThat(find("mostly-preloads", finding.fix().orElseThrow().mended(), quiet, MESSAGES))
        .isEmpty();
  }

  @Test
  void emailsWithinHours() {
    Journey bad = journey(send("a"), pause("w", 2, TimeUnit.HOURS), send("b"));
    assertThat(fixed("emails-too-close", bad).sentence()).contains("about 2 hours after another");
    fires("emails-too-close", bad, journey(send("a"), pause("w", 1, TimeUnit.DAYS), send("b")));
    assertThat(
            find(
                "emails-too-close",
                journey(branch("x", TAGGED, null, List.of(send("a")), List.of(send("b"))))))
        .isEmpty();
  }

  @Test
  void moreThanPeopleBear() {
    List<Step> daily = new ArrayList<>();
    for (int day = 0; day < 7; day++) {
      daily.add(send("m" + day));
      daily.add(pause("w" + day, 1, TimeUnit.DAYS));
    }
    Journey bad = journey(send("z")).withBody(daily);
    assertThat(fixed("too-many-in-a-week", bad).sentence()).contains("6 emails in seven days");
    fires("too-many-in-a-week", bad, bad.withBody(daily.subList(0, 10)));
  }

  @Test
  void waitsThatEndOutsideTheWindow() {
    SendWindow day = new SendWindow(Set.of(), LocalTime.of(8, 0), LocalTime.of(18, 0));
    Journey bad =
        journey(waits("w", new WaitRule.Until(TimeOfDay.daily(LocalTime.of(21, 0)))), send("a"))
            .edit()
            .sendWindow(Optional.of(day))
            .done();
    fires("outside-send-window", bad, bad.withBody(List.of(untilNine("w"), send("a"))));
    assertThat(find("outside-send-window", bad.edit().sendWindow(Optional.empty()).done()))
        .isEmpty();
  }

  @Test
  void buyersStay() {
    Journey stays = journey(Optional.of(Goal.bought(10, false)), send("a"));
    fires("buyers-stay", stays, journey(send("a")));
    assertThat(fixed("buyers-stay", stays).sentence()).contains("still get every email");
    LeaveRule bought = LeaveRule.as(Goal.bought(1, true).what());
    assertThat(find("buyers-stay", stays.edit().leaveWhen(List.of(bought)).done())).isEmpty();
  }

  /** What nobody says the purpose of cannot be judged; who buys stays, unless a rule says else. */
  @Test
  void journeysWithoutAGoal() {
    Journey noGoal = journey(Optional.empty(), send("a"));
    fires("no-goal", noGoal, journey(send("a")));
    assertThat(fixed("no-goal", noGoal).sentence())
        .contains("no verdict will be possible")
        .contains("still get every email");
    LeaveRule bought = LeaveRule.as(Goal.bought(1, true).what());
    assertThat(find("no-goal", noGoal.edit().leaveWhen(List.of(bought)).done()).get(0).sentence())
        .doesNotContain("still get");
    assertThat(find("no-goal", journey(Optional.empty(), tag("t", "x")))).isEmpty();
  }

  @Test
  void goalsAndRulesThatNeverHold() {
    Journey plain = journey(pause("w", 20, TimeUnit.DAYS), send("a"));
    Condition read = openedByPeople("a");
    fires("never-holds", goal(plain, read, 14), goal(plain, read, 30));
    assertThat(find("never-holds", goal(plain, read, 14)).get(0).sentence())
        .isEqualTo(
            "Nobody can meet the goal: that email goes out 20 days after they come in at the"
                + " earliest, and the goal ends after 14 days.");
    Condition form = new Condition.CameByForm(new FormName("Planner"));
    fires("never-holds", leaving(plain, form), leaving(plain, TAGGED));
    Condition contradiction =
        new Condition.All(List.of(TAGGED, new Condition.None(List.of(TAGGED))));
    fires("never-holds", leaving(plain, contradiction), plain);
    Journey untracked = journey(send("a").edit().untracked(true).done());
    fires("never-holds", goal(untracked, read, 30), goal(plain, read, 30));
    assertThat(
            find(
                "never-holds", leaving(triggered(new Trigger.SubmitsForm(Optional.empty())), form)))
        .isEmpty();
    Journey asks = journey(send("a"), branch("b", form, null, List.of(send("c")), List.of()));
    fires("arm-never-taken", asks, plain);
  }

  private static Journey goal(Journey journey, Condition what, int days) {
    return journey.edit().goal(Optional.of(new Goal(what, days, true))).done();
  }

  private static Journey leaving(Journey journey, Condition when) {
    return journey.edit().leaveWhen(List.of(LeaveRule.as(when))).done();
  }

  /**
   * A daily wait behind a window that opens on weekdays: whoever comes in on a Friday gets
   * Saturday's email on Monday at 8 and the next one at 9. After a wait of a day there is a day.
   */
  @Test
  void emailsThatTheWindowPushesTogether() {
    SendWindow weekdays =
        new SendWindow(
            EnumSet.range(DayOfWeek.MONDAY, DayOfWeek.FRIDAY),
            LocalTime.of(8, 0),
            LocalTime.of(18, 0));
    Journey bad =
        journey(untilNine("w1"), send("a"), untilNine("w2"), send("b"))
            .edit()
            .sendWindow(Optional.of(weekdays))
            .done();
    Journey good =
        bad.withBody(List.of(untilNine("w1"), send("a"), pause("w2", 1, TimeUnit.DAYS), send("b")));
    fires("held-together", bad, good);
    Finding finding = find("held-together", bad).get(0);
    assertThat(finding.step()).contains(id("b"));
    assertThat(finding.sentence()).startsWith("Whoever comes in on a Friday or a Saturday gets");
    assertThat(find("held-together", bad.edit().sendWindow(Optional.empty()).done())).isEmpty();
    Journey byDays =
        bad.withBody(
            List.of(
                waits("d5", new WaitRule.UntilDay(5, Optional.empty(), new IfPast.GoOn())),
                send("a"),
                waits("d6", new WaitRule.UntilDay(6, Optional.empty(), new IfPast.GoOn())),
                send("b")));
    assertThat(find("held-together", byDays)).hasSize(1);
  }

  /** Two of seven days closed: what is due on three goes out on one. It is a note, not a fault. */
  @Test
  void daysThatTakeWhatIsDueOnOthers() {
    SendWindow weekdays =
        new SendWindow(
            EnumSet.range(DayOfWeek.MONDAY, DayOfWeek.FRIDAY),
            LocalTime.of(8, 0),
            LocalTime.of(18, 0));
    Journey closed = journey(send("a")).edit().sendWindow(Optional.of(weekdays)).done();
    Journey open =
        closed
            .edit()
            .sendWindow(
                Optional.of(
                    new SendWindow(
                        EnumSet.complementOf(EnumSet.of(DayOfWeek.SUNDAY)),
                        LocalTime.of(8, 0),
                        LocalTime.of(18, 0))))
            .done();
    fires("closed-days", closed, open);
    Finding note = find("closed-days", closed).get(0);
    assertThat(note.severity()).isEqualTo(Severity.NOTE);
    assertThat(note.sentence())
        .isEqualTo(
            "Nothing goes out on Saturday, Sunday, so what is due then goes out on Monday, too:"
                + " about 43% of a week in one day, if people come in on all days alike.");
  }

  /** Whoever leaves into a journey that is not there, or that does not say it takes anybody. */
  @Test
  void leavingIntoAnotherJourney() {
    Journey season = triggered(new Trigger.HandedOver()).edit().name("Season").done();
    Journey into =
        journey(send("a"))
            .edit()
            .leaveWhen(List.of(new LeaveRule(TAGGED, Optional.of(new JourneyName("Season")))))
            .done();
    assertThat(find("missing-reference", into)).hasSize(1);
    assertThat(find("missing-reference", into, season)).isEmpty();
    assertThat(find("not-handed-over", into, season)).isEmpty();
    assertThat(find("not-handed-over", into, season.edit().triggers(List.of()).done())).hasSize(1);
    Journey back =
        season
            .edit()
            .leaveWhen(List.of(new LeaveRule(TAGGED, Optional.of(new JourneyName("A test")))))
            .done();
    assertThat(find("circle-without-wait", into, back)).hasSize(1);
    Journey buyers =
        season
            .edit()
            .leaveWhen(
                List.of(
                    new LeaveRule(
                        Goal.bought(1, true).what(), Optional.of(new JourneyName("A test")))))
            .done();
    assertThat(find("circle-without-wait", into, buyers)).isEmpty();
  }

  @Test
  void vouchersForThoseWhoWouldHaveBought() {
    Message voucher =
        new Message(new MessageId("v"), "V", new MessageContent.Email("V"), List.of(), true);
    Catalogue with = Catalogue.of(List.of(voucher));
    Journey journey = journey(Step.SendEmail.of(id("v"), new MessageId("v")));
    var wouldBuy = Steps.behaviour(Steps.group(new Keenness(0.4, 0.2), 0.3), 0.1);
    var wouldNot = Steps.behaviour(Steps.group(new Keenness(0.4, 0.2), 0.001), 0.1);
    assertThat(find("voucher-for-all", journey, wouldBuy, with).get(0).sentence())
        .contains("would have bought without it");
    assertThat(find("voucher-for-all", journey, wouldNot, with)).isEmpty();
    assertThat(find("voucher-for-all", journey(send("a")), wouldBuy, MESSAGES)).isEmpty();
  }

  @Test
  void whoMayComeAgain() {
    Journey cart = of(Purpose.CART, new Trigger.GetsTag(new TagName("cart")));
    fixed("second-cart-ignored", cart);
    assertThat(find("second-cart-ignored", of(Purpose.CART, new Trigger.LeavesCart(60)))).isEmpty();
    Journey repeats = journey(send("a")).edit().reEntry(new ReEntry.EveryTime()).done();
    fixed("welcome-repeats", repeats);
    assertThat(find("welcome-repeats", journey(send("a")))).isEmpty();
    Journey meant = journey(send("a")).edit().reEntry(new ReEntry.AfterHavingLeft()).done();
    assertThat(find("welcome-repeats", meant)).as("who comes back is meant to").isEmpty();
  }

  @Test
  void aDateThatReturnsForPeopleWhoMayNot() {
    Trigger yearly =
        new Trigger.DateComes(new FieldName("renewal"), -30, LocalTime.of(9, 0), true, false);
    Journey once = of(Purpose.DATE_BASED, yearly);
    Finding finding = fixed("only-one-year", once);
    assertThat(finding.fix().orElseThrow().mended().reEntry())
        .isEqualTo(new ReEntry.AfterDays(300));
    Trigger never =
        new Trigger.DateComes(new FieldName("renewal"), -30, LocalTime.of(9, 0), false, false);
    assertThat(find("only-one-year", of(Purpose.DATE_BASED, never))).isEmpty();
  }

  @Test
  void whoWasUnsubscribedGetsNothingMore() {
    Step gone = new Step.Change(new StepId("u"), List.of(new RecordChange.Unsubscribe()));
    fixed("steps-behind-finish", journey(gone, send("a")));
    assertThat(find("steps-behind-finish", journey(send("a"), gone))).isEmpty();
  }

  @Test
  void whatNobodyIsAssumedToDo() {
    Purchases kits =
        new Purchases(Optional.of(new ProductName("Hive kit")), Optional.empty(), Optional.empty());
    Journey asks = journey(ask("q", new Condition.Bought(kits, Optional.empty())));
    Finding finding = find("not-assumed", asks).get(0);
    assertThat(finding.step()).contains(new StepId("q"));
    assertThat(finding.sentence()).startsWith("Nobody buys \u201cHive kit\u201d in a dry run");
    Journey any = journey(ask("q", new Condition.Bought(Purchases.ANY, Optional.empty())));
    assertThat(find("not-assumed", any)).isEmpty();
    Condition city = new Condition.Field(new FieldName("city"), Operator.IS_EMPTY, List.of());
    Journey field = journey(ask("q", city));
    assertThat(find("not-assumed", field)).hasSize(1);
    Step sets =
        new Step.Change(
            new StepId("s"),
            List.of(new RecordChange.SetField(new FieldName("city"), new Operand.Words("L"))));
    assertThat(find("not-assumed", journey(sets, ask("q", city)))).isEmpty();
  }

  @Test
  void aDayThatIsPast() {
    Step third = day("third", 3);
    fires(
        "day-is-past",
        journey(third, send("a"), day("first", 1), send("b")),
        journey(day("first", 1), send("a"), third));
    Step asks = branch("q", opened("a"), null, List.of(day("in", 2)), List.of(day("else", 4)));
    assertThat(find("day-is-past", journey(send("a"), third, asks)).get(0).step())
        .contains(new StepId("in"));
  }

  @Test
  void triggersThatLetEverybodyIn() {
    fires(
        "every-entrance",
        triggered(new Trigger.SubmitsForm(Optional.empty())),
        triggered(new Trigger.SubmitsForm(Optional.of(new FormName("Planner")))));
  }

  @Test
  void handingOverToAJourneyThatDoesNotSaySo() {
    Journey season = triggered(new Trigger.PutIn()).edit().name("Season").done();
    Journey ready = season.edit().triggers(List.of(new Trigger.HandedOver())).done();
    Journey over = journey(new Step.HandOver(id("h"), new JourneyName("Season"), true));
    assertThat(find("not-handed-over", over, season)).hasSize(1);
    assertThat(find("not-handed-over", over, ready)).isEmpty();
  }

  /** What somebody of the account has is found by asking, whatever the journeys do. */
  @Test
  void tagsThatSomebodyCarries() {
    Journey asks = journey(ask("b", TAGGED));
    CheckContext context =
        new CheckContext(asks, MESSAGES, PEOPLE, List.of(), Set.of(new TagName("keeper")), TODAY);
    assertThat(Checks.run(context)).noneMatch(one -> one.code().equals("tag-never-set"));
  }

  @Test
  void tagsAndListsThatNobodyCarries() {
    Journey asks = journey(ask("b", TAGGED));
    fires("tag-never-set", asks, journey(tag("t", "keeper"), asks.body().get(0)));
    assertThat(find("tag-never-set", asks).get(0).sentence()).contains("\u201ckeeper\u201d");
    assertThat(find("tag-never-set", asks, journey(tag("t", "keeper")))).isEmpty();
    Condition listed = new Condition.OnList(new ListName("Gone"));
    fires(
        "list-never-joined",
        journey(ask("b", listed)),
        journey(ask("b", new Condition.OnList(new ListName("Newcomers")))));
    fires(
        "tag-never-used",
        journey(tag("t", "keeper")),
        journey(tag("t", "keeper"), asks.body().get(0)));
  }

  @Test
  void datesThatArePast() {
    Trigger past = new Trigger.OnDate(LocalDate.parse("2027-01-14"), LocalTime.NOON);
    Trigger today = new Trigger.OnDate(TODAY, LocalTime.NOON);
    fires("date-is-past", triggered(past), triggered(today));
    WaitRule old =
        new WaitRule.UntilDate(LocalDate.parse("2026-12-24"), LocalTime.NOON, new IfPast.GoOn());
    fires("date-is-past", journey(waits("w", old)), journey(untilNine("w")));
  }

  @Test
  void journeysThatNobodyCanFollow() {
    Step deep = ask("b4", TAGGED);
    for (int i = 3; i > 0; i--) {
      deep = branch("b" + i, TAGGED, null, List.of(deep), List.of());
    }
    fires("too-deep", journey(deep), journey(deep.ways().get(0).steps().get(0)));
    List<Step> many = new ArrayList<>();
    for (int i = 0; i < 101; i++) {
      many.add(tag("t" + i, "keeper"));
    }
    fires(
        "too-long",
        journey(send("a")).withBody(many),
        journey(send("a")).withBody(many.subList(0, 100)));
  }

  @Test
  void aPlanThatWasNeverOpened() {
    fires(
        "still-a-draft",
        journey(send("a")),
        journey(send("a")).edit().state(JourneyState.OPEN).done());
    assertThat(find("still-a-draft", triggered())).isEmpty();
  }

  /** No check fails, whatever the journey; and a fix is always a journey that can be looked at. */
  @Test
  void everyCheckLooksAtEveryJourney() {
    for (long seed = 0; seed < 300; seed++) {
      Journey journey = RandomJourneys.journey(seed, 30);
      CheckContext context =
          new CheckContext(
              journey,
              RandomJourneys.CATALOGUE,
              RandomJourneys.behaviour(seed),
              List.of(),
              Set.of(),
              TODAY);
      for (Finding finding : Checks.run(context)) {
        assertThat(finding.sentence()).endsWith(".").doesNotContain("Optional", "[");
        finding
            .fix()
            .ifPresent(fix -> assertThat(fix.mended()).as(finding.code()).isNotEqualTo(journey));
      }
    }
  }
}
