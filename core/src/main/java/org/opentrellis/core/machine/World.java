package org.opentrellis.core.machine;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.EventName;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Pressure;
import org.opentrellis.core.journey.Product;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.journey.Purchases;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.journey.TagName;

/**
 * Journeys made ready to run together over the same people, and what brings people into which.
 * Publishing or closing one makes another world, in which all else is as it was, numbers too.
 * Immutable, and safe to share between threads.
 */
public final class World {
  private final Vocabulary vocabulary;
  private final List<Program> programs;
  private final List<Program> earlier;
  private final Set<Integer> closed;
  private final Program[] byNumber;
  private final Reactions reactions;
  private final int watched;
  private final boolean followsTheCalendar;
  private final boolean asksForMessages;
  private final boolean countsTexts;
  private final @Nullable Room room;

  private World(
      Vocabulary vocabulary, List<Program> programs, List<Program> earlier, Set<Integer> closed) {
    this.vocabulary = vocabulary;
    this.programs = List.copyOf(programs);
    this.earlier = List.copyOf(earlier);
    this.closed = Set.copyOf(closed);
    this.byNumber = new Program[vocabulary.names().journeys.size()];
    programs.forEach(program -> byNumber[program.number()] = program);
    this.reactions = new Reactions(this.programs);
    this.asksForMessages =
        all().flatMap(program -> program.sends().stream()).anyMatch(Step.Send::oncePerPerson);
    this.countsTexts =
        all().map(Program::guard).anyMatch(guard -> guard != null && guard.countsTexts());
    this.room = vocabulary.catalogue().pressure().map(Room::new).orElse(null);
    this.followsTheCalendar = all().anyMatch(Program::followsTheCalendar);
    this.watched = all().mapToInt(Program::watched).reduce(reactions.watched(), (a, b) -> a | b);
  }

  /**
   * Compiles journeys.
   *
   * <p>A condition about an email, link, segment or strand that is not there never holds.
   *
   * @param journeys no two of one name
   * @param products what the shop sells; purchases go by its numbering
   * @throws IllegalArgumentException if a strand includes itself
   */
  public static World compile(List<Journey> journeys, Catalogue catalogue, List<Product> products) {
    Vocabulary vocabulary = new Vocabulary(new Names(), catalogue, products);
    journeys.forEach(journey -> vocabulary.names().journeys.of(journey.journeyName()));
    List<Program> programs =
        journeys.stream()
            .map(journey -> new Program(Strands.expand(journey, catalogue), 1, vocabulary))
            .toList();
    return new World(vocabulary, programs, List.of(), Set.of());
  }

  /**
   * The world in which people enter a version of a journey from now on. Who is inside an earlier
   * one may go on with it.
   *
   * @param version greater than those before it
   */
  public World publish(Journey journey, int version, Catalogue catalogue) {
    Vocabulary richer = new Vocabulary(vocabulary.names(), catalogue, vocabulary.products());
    Program program = new Program(Strands.expand(journey, catalogue), version, richer);
    Optional<Program> before = current(journey.journeyName());
    if (before.isPresent() && before.get().version() >= version) {
      throw new IllegalArgumentException(
          "version %d of “%s” does not follow version %d"
              .formatted(version, journey.name(), before.get().version()));
    }
    List<Program> after = new ArrayList<>(programs);
    List<Program> past = new ArrayList<>(earlier);
    before.ifPresent(after::remove);
    before.ifPresent(past::add);
    after.add(program);
    after.sort(Comparator.comparing(Program::number));
    Set<Integer> stillClosed = new HashSet<>(closed);
    stillClosed.remove(program.number());
    return new World(richer, after, past, stillClosed);
  }

  /** The world in which nobody enters a journey any more. */
  public World close(JourneyName journey) {
    Set<Integer> more = new HashSet<>(closed);
    current(journey).ifPresent(program -> more.add(program.number()));
    return new World(vocabulary, programs, earlier, more);
  }

  /** The world in which so much mail is enough for one person. */
  public World under(Optional<Pressure> pressure) {
    Catalogue same = vocabulary.catalogue().under(pressure);
    Vocabulary other = new Vocabulary(vocabulary.names(), same, vocabulary.products());
    return new World(other, programs, earlier, closed);
  }

  /** Whether one more email is too much; null if nothing is. */
  @Nullable Room room() {
    return room;
  }

  private Stream<Program> all() {
    return Stream.concat(programs.stream(), earlier.stream());
  }

  /** The journeys that people enter; those that were compiled together in the order given. */
  public List<Program> programs() {
    return programs;
  }

  /** The version of a journey that people enter, if it is here. */
  public Optional<Program> current(JourneyName journey) {
    return programs.stream().filter(program -> program.name().equals(journey)).findFirst();
  }

  /** A version of a journey, if it is here. */
  public Optional<Program> version(JourneyName journey, int version) {
    return all()
        .filter(program -> program.name().equals(journey) && program.version() == version)
        .findFirst();
  }

  /** The version of a journey that people enter, by its number; null if it is not here. */
  @Nullable Program current(int number) {
    return number < byNumber.length ? byNumber[number] : null;
  }

  /** Whether people may enter a journey. */
  boolean isOpen(int number) {
    return closed.isEmpty() || !closed.contains(number);
  }

  public Catalogue catalogue() {
    return vocabulary.catalogue();
  }

  public List<Product> products() {
    return vocabulary.products();
  }

  /** A person to go through these journeys, and then to be used for another. */
  public Person newPerson(ZoneClock clock) {
    return new Person(this, clock);
  }

  /** The number of a tag, if the journeys have to do with it. */
  public OptionalInt label(TagName tag) {
    return names().labels.find(tag);
  }

  /** The number of a list, if the journeys have to do with it. */
  public OptionalInt label(ListName list) {
    return names().labels.find(list);
  }

  /** The number of a field, if the journeys have to do with it. */
  public OptionalInt field(FieldName field) {
    return names().fields.find(field);
  }

  /** The number of an event, if the journeys have to do with it. */
  public OptionalInt event(EventName event) {
    return names().events.find(event);
  }

  /** The event of a number. */
  public EventName event(int number) {
    return names().events.name(number);
  }

  /** The number of a product, or -1 if the shop does not sell it. */
  public int offer(ProductName product) {
    List<Product> all = vocabulary.products();
    for (int i = 0; i < all.size(); i++) {
      if (all.get(i).name().equals(product)) {
        return i;
      }
    }
    return -1;
  }

  /** Whether a purchase fits what is asked for. */
  public boolean fits(Purchases what, int offer, long cents) {
    return vocabulary.bought(what, null).fits(offer, cents);
  }

  Names names() {
    return vocabulary.names();
  }

  /** Whether a step asks whether somebody has had its message before. */
  boolean asksForMessages() {
    return asksForMessages;
  }

  /** Whether some frequency guard counts texts. */
  boolean countsTexts() {
    return countsTexts;
  }

  /** The kinds of evidence that may take somebody out of a journey, into one, or meet its goal. */
  /** Whether somebody may leave some journey, or meet a goal of it, with the calendar alone. */
  boolean followsTheCalendar() {
    return followsTheCalendar;
  }

  int watched() {
    return watched;
  }

  Reactions reactions() {
    return reactions;
  }

  /** The number of a message, if the journeys have to do with it. */
  OptionalInt message(MessageId message) {
    return names().messages.find(message);
  }
}
