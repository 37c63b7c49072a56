package org.opentrellis.core.rule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.CategoryName;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Product;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.PersonState;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.reading.KnownNames;
import org.opentrellis.core.rule.RecentPast.Carried;
import org.opentrellis.core.testing.RandomJourneys;

class StandingRuleTest {
  private static final LocalDate TODAY = LocalDate.of(2026, 12, 1);
  private static final ZoneId ZONE = ZoneId.of("Europe/Berlin");
  private static final long NOW = Instant.parse("2026-12-01T09:00:00Z").getEpochSecond();
  private static final long DAY = 86_400;
  private static final long FROM = NOW - 30 * DAY;
  private static final Product HIVE =
      new Product(new ProductName("Cedar hive"), new CategoryName("Hives"));

  private static RuleReading read(String text) {
    return RuleReading.of(
        text,
        text.length(),
        Catalogue.EMPTY,
        List.of("After the hive"),
        KnownNames.of(
            Map.of(
                "CategoryName", Set.of("Hives"),
                "TagName", Set.of("buyer"),
                "ListName", Set.of("Newcomers"))),
        TODAY);
  }

  private static StandingRule rule(String text) {
    RuleReading reading = read(text);
    assertThat(reading.result()).as(text).isInstanceOf(RuleReading.Understood.class);
    return ((RuleReading.Understood) reading.result()).rule();
  }

  private static String refused(String text) {
    RuleReading reading = read(text);
    assertThat(reading.result()).as(text).isInstanceOf(RuleReading.Unclear.class);
    return ((RuleReading.Unclear) reading.result()).refused().why();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          when someone buys something from Hives, tag buyer and put them into After the hive | When someone buys something from Hives: tag buyer, then hand over to journey After the hive
          When someone gets tag buyer: add to list Newcomers                              | When someone gets tag buyer: add to list Newcomers
          when someone joins list Newcomers, if they have tag buyer, remove tag buyer        | When someone joins list Newcomers, if they have tag buyer: remove tag buyer
          whenever somebody buys anything, once per person, tag buyer                        | When someone buys anything, once per person: tag buyer
          """)
  void isReadAsItIsSaid(String typed, String said) {
    assertThat(RuleSheet.spoken(rule(typed), Catalogue.EMPTY)).isEqualTo(said);
  }

  /** Of rules that are made of the triggers, conditions and changes of random journeys. */
  @Test
  void isReadBackAsItIsPrinted() {
    int read = 0;
    for (long seed = 0; seed < 400; seed++) {
      Journey journey = RandomJourneys.journey(seed, 25);
      List<Step> does =
          journey.body().stream()
              .filter(step -> step instanceof Step.Change || step instanceof Step.Notify)
              .toList();
      if (does.isEmpty() || journey.triggers().isEmpty()) {
        continue;
      }
      StandingRule rule =
          new StandingRule(
              "Rule", journey.triggers(), journey.entryFilter(), journey.reEntry(), does);
      String typed = RuleSheet.typed(rule, RandomJourneys.CATALOGUE);
      RuleReading reading =
          RuleReading.of(
              typed,
              typed.length(),
              RandomJourneys.CATALOGUE,
              List.of("Another"),
              KnownNames.in(List.of(journey, RandomJourneys.CATALOGUE)),
              TODAY);
      assertThat(reading.result()).as(typed).isInstanceOf(RuleReading.Understood.class);
      StandingRule again = ((RuleReading.Understood) reading.result()).rule();
      assertThat(RuleSheet.typed(again, RandomJourneys.CATALOGUE)).isEqualTo(typed);
      assertThat(again.when()).as(typed).isEqualTo(rule.when());
      assertThat(again.again()).as(typed).isEqualTo(rule.again());
      read++;
    }
    assertThat(read).isGreaterThan(60);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          when someone gets tag buyer, wait 2 days, tag old        | “wait 2 days” belongs into a journey
          when someone gets tag buyer                              | what is done then
          when someone gets tag buyer, send "Kits"                 | belongs into a journey
          when someone gets tag buyer, tag old. Goal: bought anything within 7 days | the rest belongs into a journey
          """)
  void whatTakesTimeIsNoRule(String typed, String why) {
    assertThat(refused(typed)).contains(why);
  }

  @Test
  void aRuleWithoutABeginningIsRefused() {
    assertThatThrownBy(
            () ->
                new StandingRule(
                    "Rule",
                    List.of(),
                    Optional.empty(),
                    rule("when someone gets tag buyer, tag old").again(),
                    rule("when someone gets tag buyer, tag old").does()))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("when someone");
  }

  private static PersonState stands(List<PersonState.Purchase> purchases, Set<TagName> tags) {
    return new PersonState(
        ZONE,
        Long.MIN_VALUE,
        Set.copyOf(tags),
        Set.copyOf(tags),
        Map.of(),
        false,
        purchases,
        List.of(),
        List.of(),
        Set.of(),
        List.of(),
        0,
        List.of(),
        Person.NEVER,
        Person.NEVER,
        Person.NEVER,
        Person.NEVER,
        Long.MIN_VALUE,
        Long.MIN_VALUE,
        Map.of(),
        List.of(),
        Map.of(),
        List.of());
  }

  private static int acts(String rule, RecentPast past) {
    World world = World.compile(List.of(rule(rule).journey()), Catalogue.EMPTY, List.of(HIVE));
    return past.acts(world, zone -> ZoneClock.around(zone, Instant.ofEpochSecond(FROM), 60), NOW);
  }

  private static PersonState.Purchase bought(long at) {
    return new PersonState.Purchase(at, Optional.of(HIVE.name()), 12_000);
  }

  @Test
  void wouldHaveActedOncePerOrderOfTheLastDays() {
    PersonState stands =
        stands(List.of(bought(FROM - DAY), bought(FROM + DAY), bought(FROM + 5 * DAY)), Set.of());
    RecentPast past = RecentPast.of(stands, List.of(), List.of(), FROM);
    assertThat(acts("when someone buys from category Hives, tag buyer", past)).isEqualTo(2);
    assertThat(acts("when someone buys anything, once per person, tag buyer", past)).isEqualTo(1);
  }

  /** The condition is asked at the moment itself: the tag came between the two orders. */
  @Test
  void asksWhatWasSoThen() {
    TagName member = new TagName("member");
    PersonState stands =
        stands(List.of(bought(FROM + DAY), bought(FROM + 5 * DAY)), Set.of(member));
    RecentPast past =
        RecentPast.of(stands, List.of(new Carried(member, FROM + 3 * DAY, null)), List.of(), FROM);
    assertThat(acts("when someone buys anything, if they have tag member, tag buyer", past))
        .isEqualTo(1);
    assertThat(acts("when someone gets tag member, tag buyer", past)).isEqualTo(1);
  }

  @Test
  void aTagThatWasThereBeforeOrWasLostIsNotGotNow() {
    TagName member = new TagName("member");
    RecentPast before =
        RecentPast.of(
            stands(List.of(), Set.of(member)),
            List.of(new Carried(member, FROM - DAY, null)),
            List.of(),
            FROM);
    assertThat(acts("when someone gets tag member, tag buyer", before)).isZero();
    RecentPast lost =
        RecentPast.of(
            stands(List.of(bought(FROM + 9 * DAY)), Set.of()),
            List.of(new Carried(member, FROM - DAY, FROM + 5 * DAY)),
            List.of(),
            FROM);
    assertThat(acts("when someone buys anything, if they have tag member, tag buyer", lost))
        .isZero();
  }

  @Test
  void takesUpWhatNoRecordTells() {
    RecentPast past =
        RecentPast.of(
            stands(List.of(), Set.of()),
            List.of(),
            List.of(new Happening.FormSubmitted(FROM + DAY, new FormName("Guide"), Map.of())),
            FROM);
    assertThat(acts("when someone submits form Guide, add to list Newcomers", past)).isEqualTo(1);
  }
}
