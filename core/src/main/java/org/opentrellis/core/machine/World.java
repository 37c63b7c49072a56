package org.opentrellis.core.machine;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.EventName;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Product;
import org.opentrellis.core.journey.Purchases;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.journey.TagName;

/**
 * Journeys made ready to run together over the same people: names as numbers, and which journey
 * brings people into which. Immutable once compiled, and safe to share between threads.
 */
public final class World {
  private final Catalogue catalogue;
  private final List<Product> products;
  private final List<Program> programs = new ArrayList<>();
  private final List<JourneyName> names;
  private final Numbering<Name> marks = new Numbering<>();
  private final Numbering<FieldName> fields = new Numbering<>();
  private final Numbering<EventName> events = new Numbering<>();
  private final Numbering<MessageId> messages = new Numbering<>();
  private final Reactions reactions = new Reactions();
  private final int[] handOverTriggers;
  private final int watched;
  private final boolean asksForMessages;

  private World(List<Journey> journeys, Catalogue catalogue, List<Product> products) {
    this.catalogue = catalogue;
    this.products = List.copyOf(products);
    this.names = journeys.stream().map(Journey::journeyName).toList();
    List<Journey> expanded = journeys.stream().map(j -> Strands.expand(j, catalogue)).toList();
    this.handOverTriggers = expanded.stream().mapToInt(Program::handOverTrigger).toArray();
    for (Journey journey : expanded) {
      programs.add(new Program(this, programs.size(), journey));
    }
    this.asksForMessages =
        programs.stream()
            .flatMap(program -> program.sends().stream())
            .anyMatch(Step.Send::oncePerPerson);
    this.watched = programs.stream().mapToInt(Program::watched).reduce(0, (a, b) -> a | b);
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
    return new World(journeys, catalogue, products);
  }

  /** The journeys, in the order they were given. */
  public List<Program> programs() {
    return programs;
  }

  public Catalogue catalogue() {
    return catalogue;
  }

  public List<Product> products() {
    return products;
  }

  /** A person to go through these journeys, and then to be used for another. */
  public Person newPerson(ZoneClock clock) {
    return new Person(this, clock);
  }

  /** The number of a tag, if the journeys have to do with it. */
  public OptionalInt mark(TagName tag) {
    return marks.find(tag);
  }

  /** The number of a list, if the journeys have to do with it. */
  public OptionalInt mark(ListName list) {
    return marks.find(list);
  }

  /** The number of a field, if the journeys have to do with it. */
  public OptionalInt field(FieldName field) {
    return fields.find(field);
  }

  /** The number of an event, if the journeys have to do with it. */
  public OptionalInt event(EventName event) {
    return events.find(event);
  }

  /** Whether a purchase fits what is asked for. */
  public boolean fits(Purchases what, int offer, long cents) {
    BitSet offers = offers(what);
    boolean right = offers == null || offer >= 0 && offers.get(offer);
    return right && cents >= leastCents(what);
  }

  int numberOfMark(Name tagOrList) {
    return marks.of(tagOrList);
  }

  int numberOf(FieldName field) {
    return fields.of(field);
  }

  int numberOf(EventName event) {
    return events.of(event);
  }

  int numberOf(MessageId message) {
    return messages.of(message);
  }

  int markCount() {
    return marks.size();
  }

  int messageCount() {
    return messages.size();
  }

  int fieldCount() {
    return fields.size();
  }

  /** The clock that a journey's times are read on, for a person who lives under another. */
  ZoneClock clockOf(Program program, ZoneClock persons) {
    ZoneId own = program.ownZone();
    return own == null || own.equals(persons.zone()) ? persons : persons.in(own);
  }

  /** The journey of a name, or -1. */
  int numberOf(JourneyName name) {
    return names.indexOf(name);
  }

  int handOverTrigger(int program) {
    return program < 0 ? -1 : handOverTriggers[program];
  }

  /** Whether a step asks whether somebody has had its message before. */
  boolean asksForMessages() {
    return asksForMessages;
  }

  /** The kinds of evidence that may take somebody out of a journey or meet its goal. */
  int watched() {
    return watched;
  }

  Reactions reactions() {
    return reactions;
  }

  /** The products that fit, or null if every purchase does. */
  @Nullable BitSet offers(Purchases what) {
    if (what.product().isEmpty() && what.category().isEmpty()) {
      return null;
    }
    BitSet fitting = new BitSet();
    for (int i = 0; i < products.size(); i++) {
      Product product = products.get(i);
      fitting.set(
          i,
          what.product().map(product.name()::equals).orElse(true)
              && what.category().map(product.category()::equals).orElse(true));
    }
    return fitting;
  }

  static long leastCents(Purchases what) {
    return what.atLeast().map(money -> money.cents()).orElse(0L);
  }
}
