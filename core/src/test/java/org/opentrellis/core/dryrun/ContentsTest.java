package org.opentrellis.core.dryrun;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.opentrellis.core.testing.Steps.MESSAGES;
import static org.opentrellis.core.testing.Steps.behaviour;
import static org.opentrellis.core.testing.Steps.branch;
import static org.opentrellis.core.testing.Steps.finish;
import static org.opentrellis.core.testing.Steps.group;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.behaviour.ArrivalPlan;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.FieldGuess;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.behaviour.Offer;
import org.opentrellis.core.behaviour.TypicalBehaviour;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.journey.Attribute;
import org.opentrellis.core.journey.AttributeName;
import org.opentrellis.core.journey.CategoryName;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.EventName;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Money;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.Operator;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.journey.Purchases;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.problem.Refused;

/**
 * What carts, orders and events of a cohort hold, against the shares that were assumed. Seeds are
 * fixed; bounds fail a sound run once in 100,000.
 */
class ContentsTest {
  private static final int PEOPLE = 20_000;
  private static final long MEDIAN =
      Math.round(100 * TypicalBehaviour.in(ZoneOffset.UTC).orderMedian().value());
  private static final double Z = 4.417173;
  private static final Instant START = Instant.parse("2027-03-01T00:00:00Z");
  private static final EventName BOOKED = new EventName("course booked");
  private static final AttributeName LEVEL = new AttributeName("level");
  private static final AudienceGroup PLAIN = group(new Keenness(0.4, 0.2), 0);
  private static final Purchases KIT =
      new Purchases(Optional.of(new ProductName("Kit")), Optional.empty(), Optional.empty());

  private static Purchases worth(long cents) {
    return new Purchases(Optional.empty(), Optional.empty(), Optional.of(new Money(cents)));
  }

  private static Behaviour shop(AudienceGroup group) {
    return behaviour(group, 0)
        .edit()
        .offers(
            List.of(
                new Offer(new ProductName("Kit"), new CategoryName("Hives"), 3),
                new Offer(new ProductName("Jar"), new CategoryName("Honey"), 7)))
        .done();
  }

  /** The share of those who come by a trigger for whom something holds as they come. */
  private static double share(Trigger trigger, Condition condition, AudienceGroup group) {
    Journey journey =
        Journey.empty("Asks", Purpose.CART)
            .edit()
            .triggers(List.of(trigger))
            .body(
                List.of(
                    branch("b", condition, null, List.of(finish("yes")), List.of(finish("no")))))
            .done();
    CohortSettings settings =
        new CohortSettings(PEOPLE, 3, START, 30, new ArrivalPlan.Evenly(7), 0);
    JourneyTally tally = new DryRun(journey, MESSAGES, shop(group), settings).run(2).journey();
    assertThat(tally.entered()).isEqualTo(PEOPLE);
    return tally.steps().get(1).entered() / (double) PEOPLE;
  }

  private static void isAbout(double share, double expected) {
    assertThat(share)
        .isCloseTo(expected, within(Z * Math.sqrt(expected * (1 - expected) / PEOPLE)));
  }

  @Test
  void cartsHoldWhatTheShopSells() {
    Trigger leaves = new Trigger.LeavesCart(60);
    isAbout(share(leaves, new Condition.InCart(KIT), PLAIN), 0.3);
    isAbout(share(leaves, new Condition.InCart(worth(MEDIAN)), PLAIN), 0.5);
    assertThat(share(leaves, new Condition.InCart(Purchases.ANY), PLAIN)).isEqualTo(1);
    Trigger list = new Trigger.PutIn();
    assertThat(share(list, new Condition.InCart(Purchases.ANY), PLAIN)).isZero();
  }

  @Test
  void whoComesByAnOrderIsKnownByIt() {
    Trigger buys = new Trigger.Buys(Purchases.ANY);
    isAbout(share(buys, new Condition.CameByOrder(KIT), PLAIN), 0.3);
    isAbout(share(buys, new Condition.CameByOrder(worth(MEDIAN)), PLAIN), 0.5);
    assertThat(share(new Trigger.Buys(KIT), new Condition.CameByOrder(KIT), PLAIN)).isEqualTo(1);
    Trigger leaves = new Trigger.LeavesCart(60);
    assertThat(share(leaves, new Condition.CameByOrder(Purchases.ANY), PLAIN)).isZero();
  }

  @Test
  void eventsSayWhatTheGroupAssumes() {
    AudienceGroup says =
        PLAIN.edit().attributes(Map.of(LEVEL, oneOf("beginner", 0.4, "adept", 0.25))).done();
    Trigger books = new Trigger.EventArrives(BOOKED, List.of());
    isAbout(share(books, booked(is("beginner")), says), 0.4);
    isAbout(share(books, booked(new Attribute(LEVEL, Operator.IS_EMPTY, List.of())), says), 0.35);
    assertThat(share(books, booked(is("beginner")), PLAIN)).isZero();
    Trigger booksAdept = new Trigger.EventArrives(BOOKED, List.of(is("adept")));
    assertThat(share(booksAdept, booked(is("Adept")), says)).isEqualTo(1);
    FieldGuess tied = new FieldGuess.WithField(new FieldName("x"), oneOf("a", 1, "b", 0));
    assertThatThrownBy(() -> PLAIN.edit().attributes(Map.of(LEVEL, tied)).done())
        .isInstanceOf(Refused.class)
        .hasMessage("attribute level of events cannot be tied to a field");
  }

  private static Condition booked(Attribute where) {
    return new Condition.Happened(
        BOOKED, List.of(where), 1, Optional.of(Amount.of(1, TimeUnit.HOURS)));
  }

  private static Attribute is(String level) {
    return new Attribute(LEVEL, Operator.EQUALS, List.of(new Operand.Words(level)));
  }

  private static FieldGuess oneOf(String first, double share, String second, double other) {
    return new FieldGuess.OneOf(
        List.of(
            new FieldGuess.Choice(new Operand.Words(first), share),
            new FieldGuess.Choice(new Operand.Words(second), other)));
  }
}
