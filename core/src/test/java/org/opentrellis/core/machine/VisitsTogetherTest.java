package org.opentrellis.core.machine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.opentrellis.core.testing.Steps.MESSAGES;
import static org.opentrellis.core.testing.Steps.hasTag;
import static org.opentrellis.core.testing.Steps.id;
import static org.opentrellis.core.testing.Steps.pause;
import static org.opentrellis.core.testing.Steps.send;
import static org.opentrellis.core.testing.Steps.tag;
import static org.opentrellis.core.testing.Steps.waits;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyEdit;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.LeaveRule;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.RecordChange;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.journey.WaitRule;
import org.opentrellis.core.walk.Choices;
import org.opentrellis.core.walk.Reply;
import org.opentrellis.core.walk.Turn;
import org.opentrellis.core.walk.Walk;

/** One person in several journeys at once: what one does counts in the other from then on. */
class VisitsTogetherTest {
  private static final long DAY = 86_400;
  private static final Choices NOTHING_IS_READ =
      new Choices() {
        @Override
        public Reply to(int send, Visit visit) {
          return Reply.ignores();
        }

        @Override
        public int lot(int step, int ways, Visit visit) {
          return 0;
        }
      };

  /** After three days it sets a tag, and after six it takes it away. */
  private static final Journey TAGS =
      Journey.empty("Tags", Purpose.WELCOME)
          .withBody(
              List.of(
                  pause("three", 3, TimeUnit.DAYS),
                  tag("on", "x"),
                  pause("three more", 3, TimeUnit.DAYS),
                  new Step.Change(
                      id("off"), List.of(new RecordChange.RemoveTag(new TagName("x"))))));

  private static Journey second(Step... body) {
    return Journey.empty("Second", Purpose.NURTURE).withBody(List.of(body));
  }

  private static Person newcomer(Journey... journeys) {
    return newcomer(journeys.length, journeys);
  }

  /** Somebody who comes to the first few of some journeys. */
  private static Person newcomer(int few, Journey... journeys) {
    World world = World.compile(List.of(journeys), MESSAGES, List.of());
    Person person = world.newPerson(ZoneClock.around(ZoneOffset.UTC, Instant.EPOCH, 100));
    IntStream.range(0, few).forEach(journey -> person.comes(journey, -1, 0));
    return person;
  }

  /** What happens to a person who comes to all journeys at 0 and reads nothing. */
  private static List<Turn> live(Person person) {
    Walk walk = new Walk(person, NOTHING_IS_READ);
    walk.goOn(50 * DAY);
    walk.close();
    return walk.diary().turns();
  }

  private static double dayOf(List<Turn> turns, int journey, Turn.Kind kind) {
    return turns.stream()
            .filter(turn -> turn.journey() == journey && turn.kind() == kind)
            .reduce((early, late) -> late)
            .orElseThrow()
            .at()
        / (double) DAY;
  }

  @Test
  void aTagOfOneJourneyEndsTheOtherWhenItIsSetAndNotBefore() {
    Journey leaves =
        second(pause("long", 10, TimeUnit.DAYS))
            .edit()
            .leaveWhen(List.of(LeaveRule.as(hasTag("x"))))
            .done();
    assertThat(dayOf(live(newcomer(TAGS, leaves)), 1, Turn.Kind.LEFT)).isEqualTo(3);
    assertThat(dayOf(live(newcomer(leaves, TAGS)), 0, Turn.Kind.LEFT)).isEqualTo(3);
  }

  /** The first rule that holds and leads anywhere, at the moment they leave. */
  @Test
  void whoeverLeavesByARuleThatLeadsOnGoesOnThere() {
    Journey third = third().edit().triggers(List.of(new Trigger.HandedOver())).done();
    Journey fourth = Journey.empty("Fourth", Purpose.NURTURE).withBody(List.of(send("a")));
    Journey leaves =
        staying()
            .leaveWhen(
                List.of(
                    into(new Condition.HasTag(new TagName("never")), "Fourth"),
                    LeaveRule.as(hasTag("x")),
                    into(hasTag("x"), "Third"),
                    into(hasTag("x"), "Fourth")))
            .done();
    List<Turn> turns = live(newcomer(2, TAGS, leaves, third, fourth));
    assertThat(dayOf(turns, 1, Turn.Kind.LEFT)).isEqualTo(3);
    assertThat(dayOf(turns, 2, Turn.Kind.ENTERED_JOURNEY)).isEqualTo(3);
    assertThat(turns).noneMatch(turn -> turn.journey() == 3);
  }

  /** What counts as the reason does not matter: a goal that they leave at met the rule, too. */
  @Test
  void whoeverLeavesAtTheGoalGoesOnWhereARuleThatHoldsThenLeads() {
    Journey leaves =
        staying()
            .goal(Optional.of(new Goal(hasTag("x"), 30, true)))
            .leaveWhen(List.of(into(hasTag("x"), "Third")))
            .done();
    List<Turn> turns = live(newcomer(2, TAGS, leaves, third()));
    assertThat(dayOf(turns, 2, Turn.Kind.ENTERED_JOURNEY)).isEqualTo(3);
  }

  /** Nobody goes on anywhere who is lost for all journeys at that moment. */
  @Test
  void whoeverUnsubscribesAtThatMomentGoesOnNowhere() {
    Journey unsubscribes =
        Journey.empty("First", Purpose.NURTURE)
            .withBody(
                List.of(
                    new Step.Change(
                        id("both"),
                        List.of(
                            new RecordChange.AddTag(new TagName("x")),
                            new RecordChange.Unsubscribe()))));
    Journey leaves = staying().leaveWhen(List.of(into(hasTag("x"), "Third"))).done();
    List<Turn> turns = live(newcomer(2, unsubscribes, leaves, third()));
    assertThat(turns).noneMatch(turn -> turn.journey() == 2);
  }

  private static JourneyEdit staying() {
    return second(pause("long", 10, TimeUnit.DAYS)).edit();
  }

  private static Journey third() {
    return Journey.empty("Third", Purpose.NURTURE).withBody(List.of(send("a")));
  }

  private static LeaveRule into(Condition when, String journey) {
    return new LeaveRule(when, Optional.of(new JourneyName(journey)));
  }

  @Test
  void aWaitForATagEndsWhenTheOtherJourneySetsIt() {
    Amount atMost = Amount.of(20, TimeUnit.DAYS);
    Journey waits = second(waits("for x", new WaitRule.UntilHappens(hasTag("x"), atMost)));
    assertThat(dayOf(live(newcomer(TAGS, waits)), 1, Turn.Kind.FINISHED)).isEqualTo(3);
  }

  @Test
  void aBranchThatWaitsNoticesThatATagIsGone() {
    Condition without = new Condition.None(List.of(hasTag("x")));
    Amount upTo = Amount.of(20, TimeUnit.DAYS);
    Journey asks =
        second(
            pause("four", 4, TimeUnit.DAYS),
            waits("until it is gone", new WaitRule.UntilHappens(without, upTo)));
    assertThat(dayOf(live(newcomer(TAGS, asks)), 1, Turn.Kind.FINISHED)).isEqualTo(6);
  }

  @Test
  void aGoalIsDatedByWhenItWasMet() {
    Journey staying =
        second(pause("ten", 10, TimeUnit.DAYS))
            .edit()
            .goal(Optional.of(new Goal(hasTag("x"), 30, false)))
            .done();
    Person tagged = newcomer(TAGS, staying);
    live(tagged);
    assertThat(tagged.visits().get(1).goalMetAt(50 * DAY)).isEqualTo(3 * DAY);
  }

  @Test
  void aGoalThatSomebodyStaysAfterIsDatedByThePurchase() {
    Journey staying =
        second(pause("ten", 10, TimeUnit.DAYS), tag("end", "y"))
            .edit()
            .goal(Optional.of(Goal.bought(30, false)))
            .done();
    Person buyer = newcomer(staying);
    buyer.buys(4 * DAY, -1, 2_000);
    List<Turn> turns = live(buyer);
    assertThat(dayOf(turns, 0, Turn.Kind.FINISHED)).isEqualTo(10);
    assertThat(buyer.visits().get(0).goalMetAt(50 * DAY)).isEqualTo(4 * DAY);
  }

  /** When somebody who gets tag x on day 3 has met it as the goal of a journey that is over. */
  private static long metAfterTheEnd(int withinDays) {
    Journey brief =
        second(send("a")).edit().goal(Optional.of(new Goal(hasTag("x"), withinDays, true))).done();
    Person person = newcomer(brief, TAGS);
    live(person);
    return person.visits().get(0).goalMetAt(50 * DAY);
  }

  @Test
  void aGoalMetAfterTheJourneyIsOverCountsWithinItsLimit() {
    assertThat(metAfterTheEnd(30)).isEqualTo(3 * DAY);
    assertThat(metAfterTheEnd(2)).isEqualTo(Person.NEVER);
  }

  @Test
  void theTagThatBringsSomebodyInCountsInTheirOtherJourneysFromThenOn() {
    Journey brief =
        second(send("a")).edit().goal(Optional.of(new Goal(hasTag("x"), 30, true))).done();
    Journey tagged =
        Journey.empty("Tagged", Purpose.NURTURE)
            .edit()
            .triggers(List.of(new Trigger.GetsTag(new TagName("x"))))
            .body(List.of(pause("long", 10, TimeUnit.DAYS)))
            .done();
    World world = World.compile(List.of(brief, tagged), MESSAGES, List.of());
    Person person = world.newPerson(ZoneClock.around(ZoneOffset.UTC, Instant.EPOCH, 100));
    person.comes(0, -1, 0);
    person.comes(1, 0, 4 * DAY);
    live(person);
    assertThat(person.visits().get(0).goalMetAt(50 * DAY)).isEqualTo(4 * DAY);
  }
}
