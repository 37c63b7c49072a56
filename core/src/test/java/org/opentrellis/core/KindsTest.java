package org.opentrellis.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.RecordComponent;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.check.CheckContext;
import org.opentrellis.core.check.Checks;
import org.opentrellis.core.check.Neighbour;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.SchemaWriter;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.happening.MessageRef;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.EmailRef;
import org.opentrellis.core.journey.IfPast;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Notice;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.ReEntry;
import org.opentrellis.core.journey.RecordChange;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.journey.WaitRule;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.reading.KnownNames;
import org.opentrellis.core.reading.Reader;
import org.opentrellis.core.reading.Reading;
import org.opentrellis.core.replay.Replay;
import org.opentrellis.core.sentence.RunSheet;
import org.opentrellis.core.testing.RandomJourneys;
import org.opentrellis.core.walk.Diary;

/**
 * What every kind of every family of the journey language owes: it is compiled and run, said, read
 * back, checked, written and read as a document, and in the schema. A kind that is added and stands
 * in no random journey fails here first. The editors' side of the contract is in {@code
 * web/.../shapes.test.ts}.
 */
class KindsTest {
  private static final List<Class<?>> FAMILIES =
      List.of(
          Trigger.class,
          Step.class,
          WaitRule.class,
          Condition.class,
          RecordChange.class,
          EmailRef.class,
          Operand.class,
          IfPast.class,
          ReEntry.class,
          Notice.class);

  /** By kind, some journey that uses it. */
  private static final Map<Class<?>, Journey> USED = new HashMap<>();

  static {
    for (long seed = 0; seed < 300; seed++) {
      Journey journey = RandomJourneys.journey(seed, 12);
      collect(journey, journey);
    }
  }

  private static void collect(Object part, Journey journey) {
    switch (part) {
      case Collection<?> many -> many.forEach(one -> collect(one, journey));
      case Optional<?> perhaps -> perhaps.ifPresent(one -> collect(one, journey));
      case Record record -> {
        USED.putIfAbsent(record.getClass(), journey);
        for (RecordComponent component : record.getClass().getRecordComponents()) {
          collect(valueOf(record, component), journey);
        }
      }
      default -> {}
    }
  }

  private static Object valueOf(Record record, RecordComponent component) {
    try {
      return component.getAccessor().invoke(record);
    } catch (ReflectiveOperationException impossible) {
      throw new IllegalStateException(impossible);
    }
  }

  private static Stream<Class<?>> kinds(Class<?> family) {
    return Arrays.stream(family.getPermittedSubclasses())
        .flatMap(one -> one.isRecord() ? Stream.of(one) : kinds(one));
  }

  @TestFactory
  Stream<DynamicTest> everyKindKeepsTheContract() {
    return FAMILIES.stream()
        .flatMap(
            family ->
                kinds(family)
                    .map(
                        kind ->
                            DynamicTest.dynamicTest(
                                family.getSimpleName() + " " + kind.getSimpleName(),
                                () -> keeps(kind))));
  }

  private static void keeps(Class<?> kind) {
    Journey journey = USED.get(kind);
    assertThat(journey).as("no random journey uses it").isNotNull();
    isCompiledAndRun(journey);
    isSaidAndReadBack(journey);
    isChecked(journey);
    assertThat(Documents.readJourney(Documents.write(journey), RandomJourneys.CATALOGUE))
        .isEqualTo(journey);
    String name = kind.getEnclosingClass().getSimpleName() + kind.getSimpleName();
    assertThat(SchemaWriter.ofParts("#/")).containsKey(name);
  }

  private static void isCompiledAndRun(Journey journey) {
    CohortSettings people = CohortSettings.of(20, 1, Instant.parse("2027-03-22T00:00:00Z"), 30);
    long entered =
        new DryRun(journey, RandomJourneys.CATALOGUE, RandomJourneys.behaviour(1), people)
            .run(1)
            .journey()
            .entered();
    assertThat(entered).isNotNegative();
  }

  private static void isSaidAndReadBack(Journey journey) {
    RunSheet sheet = RunSheet.of(journey, RandomJourneys.CATALOGUE);
    Reader reader =
        new Reader(
            journey,
            RandomJourneys.CATALOGUE,
            List.of("Another"),
            KnownNames.in(List.of(journey, RandomJourneys.CATALOGUE)),
            java.time.LocalDate.EPOCH);
    for (RunSheet.Row row : sheet.rows()) {
      assertThat(row.sentence().text()).isNotBlank();
      if (!row.typed().spans().isEmpty()) {
        assertThat(reader.replace(row.id(), row.typed().text(), 0).result())
            .as(row.typed().text())
            .isInstanceOf(Reading.Understood.class);
      }
    }
    assertThat(reader.replace(sheet.opening().id(), sheet.opening().typed().text(), 0).result())
        .isInstanceOf(Reading.Understood.class);
  }

  private static void isChecked(Journey journey) {
    CheckContext context =
        new CheckContext(
            journey,
            RandomJourneys.CATALOGUE,
            RandomJourneys.behaviour(1),
            List.of(Neighbour.of(journey, RandomJourneys.CATALOGUE)),
            Set.of(),
            LocalDate.parse("2027-03-22"));
    assertThat(Checks.run(context)).isNotNull();
  }

  /** Whatever can happen has a meaning to somebody to whom nothing else has. */
  @TestFactory
  Stream<DynamicTest> everyHappeningIsTaken() {
    return kinds(Happening.class)
        .map(kind -> DynamicTest.dynamicTest(kind.getSimpleName(), () -> isTaken(kind)));
  }

  private static void isTaken(Class<?> kind) throws ReflectiveOperationException {
    Journey journey = RandomJourneys.journey(1, 5);
    World world = World.compile(List.of(journey), RandomJourneys.CATALOGUE, List.of());
    long start = Instant.parse("2027-03-22T00:00:00Z").getEpochSecond();
    ZoneClock clock = ZoneClock.around(ZoneOffset.UTC, Instant.ofEpochSecond(start), 100);
    Diary diary = new Diary();
    Replay replay =
        new Replay(world.newPerson(clock), (step, ways, visit) -> 0, (message, at) -> {}, diary);
    List<Object> arguments = new ArrayList<>();
    for (RecordComponent component : kind.getRecordComponents()) {
      arguments.add(example(component.getType(), journey, start));
    }
    Class<?>[] types =
        Arrays.stream(kind.getRecordComponents())
            .map(RecordComponent::getType)
            .toArray(Class<?>[]::new);
    Happening happening =
        (Happening) kind.getDeclaredConstructor(types).newInstance(arguments.toArray());
    Replay.Noted noted = replay.takes(happening);
    boolean unknown =
        Happening.OfMessage.class.isAssignableFrom(kind)
            || happening instanceof Happening.EventArrived;
    assertThat(noted).isEqualTo(unknown ? Replay.Noted.UNKNOWN : Replay.Noted.NEW);
    assertThat(diary.turns()).allMatch(turn -> turn.at() == start);
  }

  /** A value of a type, as plain as may be. */
  private static Object example(Class<?> type, Journey journey, long start)
      throws ReflectiveOperationException {
    if (type == long.class) {
      return start;
    }
    if (type == ZoneId.class) {
      return ZoneOffset.UTC;
    }
    if (type == int.class) {
      return 2;
    }
    if (type == boolean.class) {
      return true;
    }
    if (type == String.class) {
      return "one";
    }
    if (type == Optional.class) {
      return Optional.empty();
    }
    if (type == List.class) {
      return List.of();
    }
    if (type == Map.class) {
      return Map.of();
    }
    if (type.isEnum()) {
      return type.getEnumConstants()[0];
    }
    if (type == Journey.class) {
      return journey;
    }
    if (type == Trigger.class) {
      return journey.triggers().get(0);
    }
    if (type == MessageRef.class) {
      return new MessageRef(
          journey.journeyName(), 0, journey.steps().findFirst().orElseThrow().id());
    }
    if (type == org.opentrellis.core.journey.JourneyName.class) {
      return journey.journeyName();
    }
    return type == org.opentrellis.core.journey.Money.class
        ? new org.opentrellis.core.journey.Money(100)
        : type.getDeclaredConstructor(String.class).newInstance("red");
  }
}
