package org.opentrellis.core.machine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.opentrellis.core.testing.Steps.hasTag;
import static org.opentrellis.core.testing.Steps.id;
import static org.opentrellis.core.testing.Steps.pause;
import static org.opentrellis.core.testing.Steps.send;
import static org.opentrellis.core.testing.Steps.tag;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.Attribute;
import org.opentrellis.core.journey.AttributeName;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.CategoryName;
import org.opentrellis.core.journey.EventName;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Money;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.Operator;
import org.opentrellis.core.journey.Product;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.journey.Purchases;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.ReEntry;
import org.opentrellis.core.journey.RecordChange;
import org.opentrellis.core.journey.Segment;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.walk.Choices;
import org.opentrellis.core.walk.Reply;
import org.opentrellis.core.walk.Turn;
import org.opentrellis.core.walk.Walk;

/**
 * What brings somebody into a journey from another one, or from what they do; and what does not.
 */
class TriggersTest {
  private static final long HOUR = 3_600;
  private static final long DAY = 24 * HOUR;
  private static final MessageId LINKED = new MessageId("linked");
  private static final ListName LIST = new ListName("Readers");
  private static final SegmentName SEGMENT = new SegmentName("Tagged");
  private static final Catalogue CATALOGUE =
      new Catalogue(
          List.of(
              Message.email("hello", "Hello", "Hello there"),
              Message.email("linked", "Linked", "With links", "A", "B")),
          List.of(),
          List.of(new Segment(SEGMENT, hasTag("x"))));
  private static final List<Product> PRODUCTS =
      List.of(
          new Product(new ProductName("Kit"), new CategoryName("Hives")),
          new Product(new ProductName("Jar"), new CategoryName("Honey")));

  /** Opens everything after an hour and clicks the second link after two. */
  private static final Choices KEEN =
      new Choices() {
        @Override
        public Reply to(int send, Visit visit) {
          OptionalLong never = OptionalLong.empty();
          return new Reply(
              true,
              false,
              never,
              OptionalLong.of(HOUR),
              OptionalLong.of(2 * HOUR),
              1,
              never,
              never,
              never,
              -1,
              0);
        }

        @Override
        public int lot(int step, int ways, Visit visit) {
          return 0;
        }
      };

  /** When a person enters a journey with a trigger, in hours after day 1; they do some things. */
  private static List<Double> entries(
      Trigger trigger, ReEntry again, Consumer<Person> fate, Step... cause) {
    List<Step> body = new ArrayList<>(List.of(pause("first", 1, TimeUnit.DAYS)));
    body.addAll(Arrays.asList(cause));
    Journey causing = Journey.empty("Cause", Purpose.WELCOME).withBody(body);
    Journey target =
        Journey.empty("Target", Purpose.NURTURE)
            .edit()
            .triggers(List.of(trigger))
            .reEntry(again)
            .done();
    World world = World.compile(List.of(causing, target), CATALOGUE, PRODUCTS);
    Person person = world.newPerson(ZoneClock.around(ZoneOffset.UTC, Instant.EPOCH, 100));
    person.comes(0, -1, 0);
    fate.accept(person);
    Walk walk = new Walk(person, KEEN);
    walk.goOn(50 * DAY);
    return walk.diary().turns().stream()
        .filter(turn -> turn.journey() == 1 && turn.kind() == Turn.Kind.ENTERED_JOURNEY)
        .map(turn -> (turn.at() - DAY) / (double) HOUR)
        .toList();
  }

  private static List<Double> entries(Trigger trigger, Step... cause) {
    return entries(trigger, new ReEntry.Never(), person -> {}, cause);
  }

  private static List<Double> afterFate(Trigger trigger, Consumer<Person> fate) {
    return entries(trigger, new ReEntry.EveryTime(), fate);
  }

  private static Step change(String id, RecordChange change) {
    return new Step.Change(id(id), List.of(change));
  }

  @Test
  void aTagOrAListBringsThemInWhenItIsNew() {
    Trigger getsTag = new Trigger.GetsTag(new TagName("x"));
    assertThat(entries(getsTag, tag("t", "x"))).containsExactly(0.0);
    assertThat(entries(getsTag, tag("t", "y"))).isEmpty();
    assertThat(
            entries(
                getsTag,
                new ReEntry.EveryTime(),
                person -> {},
                tag("t", "x"),
                pause("w", 1, TimeUnit.HOURS),
                tag("again", "x")))
        .as("a tag that is there already")
        .containsExactly(0.0);
    Trigger joins = new Trigger.JoinsList(LIST);
    assertThat(entries(joins, change("j", new RecordChange.JoinList(LIST)))).containsExactly(0.0);
    assertThat(
            entries(
                joins,
                change("m", new RecordChange.MoveToList(LIST, List.of(new ListName("Elsewhere"))))))
        .containsExactly(0.0);
  }

  @Test
  void aSegmentBringsThemInWhenTheirRecordComesToFit() {
    assertThat(entries(new Trigger.EntersSegment(SEGMENT), tag("t", "x"))).containsExactly(0.0);
    assertThat(entries(new Trigger.EntersSegment(SEGMENT), tag("t", "y"))).isEmpty();
    assertThat(entries(new Trigger.EntersSegment(new SegmentName("Missing")), tag("t", "x")))
        .isEmpty();
  }

  @Test
  void readingAndClickingBringThemInWhenTheyDo() {
    Step.SendEmail linked = Step.SendEmail.of(id("l"), LINKED);
    assertThat(entries(new Trigger.OpensMessage(LINKED), linked)).containsExactly(1.0);
    assertThat(entries(new Trigger.OpensMessage(LINKED), send("other"))).isEmpty();
    assertThat(entries(new Trigger.ClicksMessage(LINKED, Optional.empty()), linked))
        .containsExactly(2.0);
    assertThat(entries(new Trigger.ClicksMessage(LINKED, Optional.of(new LinkName("B"))), linked))
        .containsExactly(2.0);
    assertThat(entries(new Trigger.ClicksMessage(LINKED, Optional.of(new LinkName("A"))), linked))
        .isEmpty();
    assertThat(entries(new Trigger.ClicksMessage(LINKED, Optional.of(new LinkName("Z"))), linked))
        .isEmpty();
  }

  @Test
  void purchasesBringThemInThatAreMeant() {
    Consumer<Person> jarThenKit =
        person -> {
          person.buys(DAY + HOUR, 1, 900);
          person.buys(DAY + 5 * HOUR, 0, 4_990);
        };
    assertThat(afterFate(new Trigger.Buys(Purchases.ANY), jarThenKit)).containsExactly(1.0, 5.0);
    Purchases hives =
        new Purchases(Optional.empty(), Optional.of(new CategoryName("Hives")), Optional.empty());
    assertThat(afterFate(new Trigger.Buys(hives), jarThenKit)).containsExactly(5.0);
    Purchases dear = new Purchases(Optional.empty(), Optional.empty(), Optional.of(new Money(901)));
    assertThat(afterFate(new Trigger.Buys(dear), jarThenKit)).containsExactly(5.0);
    Purchases jar =
        new Purchases(Optional.of(new ProductName("Jar")), Optional.empty(), Optional.empty());
    assertThat(afterFate(new Trigger.Buys(jar), jarThenKit)).containsExactly(1.0);
  }

  @Test
  void anEventBringsThemInByItsName() {
    Trigger arrives = new Trigger.EventArrives(new EventName("visit"), List.of());
    assertThat(afterFate(arrives, visits(Map.of()))).containsExactly(3.0);
    assertThat(afterFate(arrives, person -> {})).isEmpty();
  }

  @Test
  void anEventBringsThemInByWhatItSays() {
    AttributeName hall = new AttributeName("hall");
    Trigger arrives =
        new Trigger.EventArrives(
            new EventName("visit"),
            List.of(
                new Attribute(hall, Operator.EQUALS, List.of(new Operand.Words("North"))),
                new Attribute(
                    new AttributeName("seats"),
                    Operator.AT_LEAST,
                    List.of(new Operand.Number(2)))));
    Operand two = new Operand.Number(2);
    Map<AttributeName, Operand> fits =
        Map.of(hall, new Operand.Words("north"), new AttributeName("seats"), two);
    assertThat(afterFate(arrives, visits(fits))).containsExactly(3.0);
    assertThat(afterFate(arrives, visits(Map.of(hall, new Operand.Words("North"))))).isEmpty();
    assertThat(afterFate(arrives, visits(Map.of()))).isEmpty();
  }

  private static Consumer<Person> visits(Map<AttributeName, Operand> payload) {
    return person ->
        person.experiences(
            DAY + 3 * HOUR, person.world.event(new EventName("visit")).orElseThrow(), payload);
  }

  @Test
  void beingHandedOverBringsThemIn() {
    Step over = new Step.HandOver(id("over"), new JourneyName("Target"), false);
    assertThat(entries(new Trigger.HandedOver(), over)).containsExactly(0.0);
    Step nowhere = new Step.HandOver(id("over"), new JourneyName("Nowhere"), false);
    assertThat(entries(new Trigger.HandedOver(), nowhere)).isEmpty();
  }

  @Test
  void theReEntryRuleSaysHowOften() {
    Consumer<Person> threeOrders =
        person -> {
          for (int day = 1; day <= 41; day += 20) {
            person.buys(day * DAY, 0, 1_000);
          }
        };
    Trigger buys = new Trigger.Buys(Purchases.ANY);
    assertThat(entries(buys, new ReEntry.Never(), threeOrders)).containsExactly(0.0);
    assertThat(entries(buys, new ReEntry.AfterDays(30), threeOrders)).containsExactly(0.0, 960.0);
    assertThat(entries(buys, new ReEntry.AfterHavingLeft(), threeOrders)).hasSize(3);
    assertThat(entries(buys, new ReEntry.EveryTime(), threeOrders)).hasSize(3);
  }
}
