package org.opentrellis.core.machine;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.journey.Trigger;

/**
 * Puts a person down and takes them up again, into the same world or another one in which their
 * journeys are. What follows is the same as if they had never been put down.
 */
public final class Standing {
  private Standing() {}

  /** All that the machine knows of a person. */
  public static PersonState freeze(Person person) {
    Names names = person.world.names();
    Set<Name> labels = new HashSet<>(person.unused.labels);
    Set<Name> hadLabels = new HashSet<>(person.unused.hadLabels);
    for (int label = 0; label < person.labelCount(); label++) {
      if (person.carriesNow(label)) {
        labels.add(names.labels.name(label));
      }
      if (person.everCarried(label)) {
        hadLabels.add(names.labels.name(label));
      }
    }
    Map<FieldName, Operand> fields = new HashMap<>(person.unused.fields);
    for (int field = 0; field < person.fieldCount(); field++) {
      Operand value = person.field(field);
      if (value != null) {
        fields.put(names.fields.name(field), value);
      }
    }
    Departures gone = person.departures;
    return new PersonState(
        person.clock.zone(),
        person.now,
        labels,
        hadLabels,
        fields,
        person.agreedToTexts,
        purchases(person),
        events(person),
        carts(person),
        messages(person),
        times(person.sends),
        person.sends.mostInAWeek(),
        times(person.messages),
        gone.erasedAt(),
        gone.unsubscribedAt(),
        gone.complainedAt(),
        gone.bouncedAt(),
        gone.backAt(),
        person.cartChangedAt,
        segments(person),
        coming(person),
        entries(person),
        person.visits().stream().map(VisitStanding::freeze).toList());
  }

  private static List<Long> times(SendMemory sends) {
    return Arrays.stream(sends.remembered()).boxed().toList();
  }

  private static List<PersonState.Purchase> purchases(Person person) {
    List<PersonState.Purchase> all = new ArrayList<>();
    Happenings bought = person.purchases();
    for (int n = 0; n < bought.size(); n++) {
      all.add(
          new PersonState.Purchase(
              bought.at(n), product(person.world, bought.what(n)), bought.cents(n)));
    }
    return all;
  }

  private static List<PersonState.CartLine> carts(Person person) {
    List<PersonState.CartLine> all = new ArrayList<>();
    Happenings carts = person.carts();
    for (int n = 0; n < carts.size(); n++) {
      int what = carts.what(n);
      all.add(
          new PersonState.CartLine(
              carts.at(n), what == Person.NOTHING, product(person.world, what), carts.cents(n)));
    }
    return all;
  }

  private static Optional<ProductName> product(World world, int offer) {
    return offer < 0 ? Optional.empty() : Optional.of(world.products().get(offer).name());
  }

  private static List<PersonState.Event> events(Person person) {
    List<PersonState.Event> all = new ArrayList<>();
    Happenings events = person.events();
    for (int n = 0; n < events.size(); n++) {
      all.add(
          new PersonState.Event(
              events.at(n), person.world.names().events.name(events.what(n)), person.payload(n)));
    }
    return all;
  }

  private static Set<MessageId> messages(Person person) {
    Set<MessageId> had = new HashSet<>();
    for (int message = 0; message < person.messageCount(); message++) {
      if (person.hadMessage(message)) {
        had.add(person.world.names().messages.name(message));
      }
    }
    return had;
  }

  private static Map<SegmentName, Boolean> segments(Person person) {
    Map<SegmentName, Boolean> in = new HashMap<>();
    if (person.segments != null && person.now != Person.NOT_YET) {
      for (int n = 0; n < person.reactions.segmentCount(); n++) {
        in.put(person.reactions.segment(n).name(), person.segments.isIn(n));
      }
    }
    return in;
  }

  private static List<PersonState.Coming> coming(Person person) {
    List<PersonState.Coming> all = new ArrayList<>();
    for (int n = 0; n < person.entries.size(); n++) {
      long[] entry = person.entries.entry(n);
      JourneyName journey = person.world.names().journeys.name((int) entry[0]);
      Optional<Trigger> by =
          entry[1] < 0
              ? Optional.empty()
              : person
                  .world
                  .current(journey)
                  .map(program -> program.journey().triggers().get((int) entry[1]));
      Optional<JourneyName> origin =
          entry[2] < 0
              ? Optional.empty()
              : Optional.of(person.world.names().journeys.name((int) entry[2]));
      all.add(new PersonState.Coming(entry[3], journey, by, origin, entry[4]));
    }
    return all;
  }

  private static Map<JourneyName, PersonState.Entered> entries(Person person) {
    Map<JourneyName, PersonState.Entered> all = new HashMap<>();
    for (int number = 0; number < person.timesEntered.length; number++) {
      if (person.timesEntered[number] > 0) {
        all.put(
            person.world.names().journeys.name(number),
            new PersonState.Entered(person.timesEntered[number], person.lastEntryAt[number]));
      }
    }
    return all;
  }

  /**
   * Takes a person up again. The names that they carry and the world did not know become known to
   * it. A visit goes on in the version of its journey that it began in, if that is here, else in
   * the one that people enter; in none if there is none.
   *
   * @param clocks by zone; one that is quick around the present
   */
  public static Person thaw(PersonState state, World world, Function<ZoneId, ZoneClock> clocks) {
    learn(state, world.names());
    Person person = world.newPerson(clocks.apply(state.zone()));
    Names names = world.names();
    state.hadLabels().forEach(name -> person.onceCarried(names.labels.of(name)));
    state.labels().forEach(name -> person.carries(names.labels.of(name)));
    state.fields().forEach((name, value) -> person.field(names.fields.of(name), value));
    person.agreedToTexts = state.agreesToTexts();
    state
        .purchases()
        .forEach(
            bought ->
                person
                    .purchases()
                    .add(
                        bought.at(),
                        bought.product().map(world::offer).orElse(-1),
                        bought.cents()));
    state
        .events()
        .forEach(one -> person.keepsEvent(one.at(), names.events.of(one.event()), one.payload()));
    state.carts().forEach(line -> fill(line, person));
    state.hadMessages().forEach(message -> person.hadMessageBefore(names.messages.of(message)));
    person.sends.restore(
        state.sentAt().stream().mapToLong(Long::longValue).toArray(), state.mostInAWeek());
    state.messagesAt().forEach(person.messages::add);
    person.departures.restore(
        state.erasedAt(),
        state.unsubscribedAt(),
        state.complainedAt(),
        state.bouncedAt(),
        state.backAt());
    person.cartChangedAt = state.cartChangedAt();
    state
        .entries()
        .forEach(
            (name, entered) -> {
              int number = names.journeys.of(name);
              person.timesEntered[number] = entered.times();
              person.lastEntryAt[number] = entered.lastAt();
            });
    state.coming().forEach(one -> comes(person, one));
    if (state.now() != Person.NOT_YET) {
      person.comesTo(state.now());
    }
    takeSegments(person, state.inSegments());
    state.visits().forEach(visit -> VisitStanding.thaw(visit, person));
    return person;
  }

  /** So that a new person has room for all of it. */
  private static void learn(PersonState state, Names names) {
    state.hadLabels().forEach(names.labels::of);
    state.fields().keySet().forEach(names.fields::of);
    state.events().forEach(one -> names.events.of(one.event()));
    state.hadMessages().forEach(names.messages::of);
    state.entries().keySet().forEach(names.journeys::of);
    state.coming().forEach(one -> names.journeys.of(one.journey()));
    state.visits().forEach(visit -> names.journeys.of(visit.journey()));
  }

  private static void comes(Person person, PersonState.Coming coming) {
    Names names = person.world.names();
    Optional<Program> program = person.world.current(coming.journey());
    int trigger = coming.by().flatMap(by -> program.map(one -> one.positionOf(by))).orElse(-1);
    int origin = coming.handedOverBy().map(names.journeys::of).orElse(-1);
    person.entries.add(
        names.journeys.of(coming.journey()), trigger, origin, coming.at(), coming.cartChangedAt());
  }

  private static void fill(PersonState.CartLine line, Person person) {
    int offer =
        line.emptied() ? Person.NOTHING : line.product().map(person.world::offer).orElse(-1);
    person.carts().add(line.at(), offer, line.cents());
  }

  private static void takeSegments(Person person, Map<SegmentName, Boolean> in) {
    @Nullable SegmentWatch watch = person.segments;
    if (watch == null) {
      return;
    }
    for (int n = 0; n < person.reactions.segmentCount(); n++) {
      Boolean was = in.get(person.reactions.segment(n).name());
      if (was != null) {
        watch.restore(n, was);
      }
    }
  }

  /**
   * The same person with their visits to a journey moved on into the version that people enter.
   *
   * @see Moving
   */
  public static PersonState movedOn(PersonState state, World world, JourneyName journey) {
    Optional<Program> to = world.current(journey);
    List<VisitState> visits =
        state.visits().stream()
            .map(
                visit ->
                    to.isPresent() && visit.journey().equals(journey) && visit.step().isPresent()
                        ? world
                            .version(journey, visit.version())
                            .map(from -> Moving.move(visit, from, to.get(), state.now()))
                            .orElse(visit)
                        : visit)
            .toList();
    return state.with(visits);
  }
}
