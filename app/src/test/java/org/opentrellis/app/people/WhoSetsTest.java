package org.opentrellis.app.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.machine.Onlooker;
import org.opentrellis.core.machine.PersonState;
import org.opentrellis.core.people.HowOften;
import org.opentrellis.core.people.Mailing;
import org.opentrellis.core.testing.RandomJourneys;
import org.opentrellis.core.testing.RandomPeople;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.transaction.support.TransactionTemplate;

/** The people that are found by SQL are exactly those for whom the machine says yes. */
@Tag("thorough")
@Order(1)
class WhoSetsTest {
  private static final int PEOPLE = 400;
  private static final int CONDITIONS = Integer.getInteger("conditions", 1_000);

  @TempDir static Path data;
  private static ConfigurableApplicationContext application;
  private static PeopleMapper mapper;
  private static Crowd crowd;
  private static RegisteredNames names;
  private static final TreeMap<Long, PersonState> PERSONS = new TreeMap<>();

  @BeforeAll
  static void layPeople() {
    application = RunningApplication.start(data);
    mapper = application.getBean(PeopleMapper.class);
    crowd = application.getBean(Crowd.class);
    names = application.getBean(RegisteredNames.class);
    application
        .getBean(TransactionTemplate.class)
        .executeWithoutResult(
            transaction -> {
              RandomPeople.PRODUCTS.forEach(names::number);
              for (int n = 0; n < PEOPLE; n++) {
                PersonState state = RandomPeople.person(n);
                PERSONS.put(lay(state, n), state);
              }
            });
  }

  @AfterAll
  static void stop() {
    application.close();
  }

  private static long lay(PersonState state, int n) {
    PersonRow row =
        new PersonRow(
            0,
            "keeper" + n + "@example.com",
            null,
            "Keeper " + n,
            null,
            state.zone().getId(),
            Mailing.MAY_BE_MAILED,
            0,
            "invented",
            null,
            true,
            null,
            null,
            "invented",
            n,
            HowOften.AS_IT_COMES,
            1);
    mapper.insert(row, row.addressKey(), row.nameKey());
    mapper.noteZone(row.zone());
    long id = mapper.numberOf(row.addressKey()).orElseThrow();
    for (Name label : state.hadLabels()) {
      Long until = state.labels().contains(label) ? null : RandomPeople.NOW - 5;
      mapper.insertLabel(id, names.number(label), 0, "invented", until);
    }
    state
        .fields()
        .forEach(
            (field, value) -> {
              ValueRow held = ValueRow.of(field.value(), value);
              mapper.insertField(id, names.number(field), held, held.wordsKey());
            });
    for (PersonState.Purchase one : state.purchases()) {
      mapper.insertPurchase(
          id, one.at(), one.product().map(names::number).orElse(null), one.cents());
    }
    for (PersonState.CartLine one : state.carts()) {
      mapper.insertCartLine(
          id, one.at(), one.emptied(), one.product().map(names::number).orElse(null), one.cents());
    }
    for (PersonState.Event event : state.events()) {
      mapper.insertEvent(id, names.number(event.event()), event.at());
      long number = mapper.newestEvent(id);
      event
          .payload()
          .forEach(
              (attribute, value) -> {
                ValueRow held = ValueRow.of(attribute.value(), value);
                mapper.insertSays(number, held, held.wordsKey());
              });
    }
    return id;
  }

  private static List<Long> found(Condition who) {
    List<ZoneId> zones = mapper.zones().stream().map(ZoneId::of).toList();
    return crowd
        .numbers(
            new WhoSets(
                    RandomJourneys.CATALOGUE,
                    names::find,
                    zones,
                    RandomPeople::clock,
                    RandomPeople.NOW,
                    crowd::read)
                .of(who))
        .boxed()
        .toList();
  }

  private static List<Long> meant(Condition who) {
    Onlooker onlooker = new Onlooker(who, RandomJourneys.CATALOGUE, RandomPeople.PRODUCTS);
    List<Long> meant = new ArrayList<>();
    PERSONS.forEach(
        (id, state) -> {
          if (onlooker.holds(state, RandomPeople.NOW, RandomPeople::clock)) {
            meant.add(id);
          }
        });
    return meant;
  }

  @Test
  void thousandsOfRandomConditionsFindExactlyWhomTheMachineMeans() {
    int some = 0;
    for (long seed = 0; seed < CONDITIONS; seed++) {
      Condition who = RandomJourneys.aboutPeople(seed);
      List<Long> found = found(who);
      assertThat(found).as("seed %d: %s", seed, who).isEqualTo(meant(who));
      some += found.isEmpty() || found.size() == PEOPLE ? 0 : 1;
    }
    assertThat(some).as("conditions that tell people apart").isGreaterThan(CONDITIONS / 2);
  }

  /** What the machine takes up of a record is what was laid. */
  @Test
  void aRecordIsTakenUpAsItStands() {
    Standings standings = application.getBean(Standings.class);
    PERSONS.forEach(
        (id, laid) -> {
          PersonState taken = standings.of(id);
          assertThat(taken.labels()).isEqualTo(laid.labels());
          assertThat(taken.hadLabels()).isEqualTo(laid.hadLabels());
          assertThat(taken.fields()).isEqualTo(laid.fields());
          assertThat(taken.purchases()).isEqualTo(laid.purchases());
          assertThat(taken.carts()).isEqualTo(laid.carts());
          assertThat(taken.events()).isEqualTo(laid.events());
          assertThat(taken.zone()).isEqualTo(laid.zone());
        });
  }

  /** A value is only ever a value, whatever stands in it. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "' or true --",
        "red') or 1 = 1 or l.name_id in ('",
        "%",
        "_",
        "#{where.values[0]}",
        "${where.sql}",
        "\u201cred\u201d"
      })
  void namesAndValuesAreNoSql(String strange) {
    Condition tagged = new Condition.HasTag(new org.opentrellis.core.journey.TagName(strange));
    assertThat(found(tagged)).isEmpty();
    Condition town =
        new Condition.Field(
            new org.opentrellis.core.journey.FieldName("town"),
            org.opentrellis.core.journey.Operator.CONTAINS,
            List.of(new org.opentrellis.core.journey.Operand.Words(strange)));
    assertThat(found(town)).isEqualTo(meant(town)).isEmpty();
  }
}
