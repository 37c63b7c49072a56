package org.opentrellis.core.machine;

import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.opentrellis.core.journey.AttributeName;
import org.opentrellis.core.journey.EventName;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.journey.Trigger;

/**
 * All that the machine knows of a person, put down by the names that journeys have for good, never
 * by positions in something compiled. Times are epoch seconds; what has not happened is {@link
 * Person#NEVER}.
 *
 * @param now how far time has come; {@link Long#MIN_VALUE} if nothing has happened
 * @param labels the tags they carry and the lists they are on
 * @param hadLabels those, and what they once carried
 * @param hadMessages what went out to them, as far as some journey asks
 * @param sentAt when the last emails went out, in order
 * @param mostInAWeek the most emails within seven days so far
 * @param messagesAt when the last emails and texts went out, as far as some journey asks
 * @param carts what lay in the cart from each change on, line by line
 * @param cartChangedAt {@link Long#MIN_VALUE} if there never was a cart
 * @param inSegments of the segments that triggers wait for, which they are in and which they are
 *     not
 * @param coming who stands at a journey's door, in order
 * @param entries of each journey, how often they entered it and when last
 * @param visits in order of entry, those that are over too
 */
public record PersonState(
    ZoneId zone,
    long now,
    Set<Name> labels,
    Set<Name> hadLabels,
    Map<FieldName, Operand> fields,
    boolean agreesToTexts,
    List<Purchase> purchases,
    List<Event> events,
    List<CartLine> carts,
    Set<MessageId> hadMessages,
    List<Long> sentAt,
    int mostInAWeek,
    List<Long> messagesAt,
    long erasedAt,
    long unsubscribedAt,
    long complainedAt,
    long bouncedAt,
    long backAt,
    long cartChangedAt,
    Map<SegmentName, Boolean> inSegments,
    List<Coming> coming,
    Map<JourneyName, Entered> entries,
    List<VisitState> visits) {
  public PersonState {
    labels = Set.copyOf(labels);
    hadLabels = Set.copyOf(hadLabels);
    fields = Map.copyOf(fields);
    purchases = List.copyOf(purchases);
    events = List.copyOf(events);
    carts = List.copyOf(carts);
    hadMessages = Set.copyOf(hadMessages);
    sentAt = List.copyOf(sentAt);
    messagesAt = List.copyOf(messagesAt);
    inSegments = Map.copyOf(inSegments);
    coming = List.copyOf(coming);
    entries = Map.copyOf(entries);
    visits = List.copyOf(visits);
  }

  /** The same with other visits. */
  PersonState with(List<VisitState> others) {
    return of(zone, now, others);
  }

  /** The same at home in another zone. */
  public PersonState in(ZoneId home) {
    return of(home, now, visits);
  }

  /** The same at another present. */
  public PersonState at(long present) {
    return of(zone, present, visits);
  }

  /**
   * The same with other tags and lists.
   *
   * @param hadLabels those, and what they once carried
   */
  public PersonState with(Set<Name> others, Set<Name> hadLabels) {
    return of(zone, now, others, hadLabels, visits);
  }

  /**
   * As they come to a journey at a moment, and as if for the first time: with nothing of what is
   * known to be ahead of it, nobody at a door, and no visit.
   */
  public PersonState comingAt(long moment, JourneyName journey) {
    Map<JourneyName, Entered> others = new HashMap<>(entries);
    others.remove(journey);
    return new PersonState(
        zone,
        moment,
        labels,
        hadLabels,
        fields,
        agreesToTexts,
        purchases.stream().filter(one -> one.at() <= moment).toList(),
        events.stream().filter(one -> one.at() <= moment).toList(),
        carts.stream().filter(one -> one.at() <= moment).toList(),
        hadMessages,
        sentAt.stream().filter(at -> at <= moment).toList(),
        0,
        messagesAt.stream().filter(at -> at <= moment).toList(),
        by(erasedAt, moment),
        by(unsubscribedAt, moment),
        by(complainedAt, moment),
        by(bouncedAt, moment),
        backAt,
        Math.min(cartChangedAt, moment),
        inSegments,
        List.of(),
        others,
        List.of());
  }

  private static long by(long at, long moment) {
    return at <= moment ? at : Person.NEVER;
  }

  private PersonState of(ZoneId home, long present, List<VisitState> others) {
    return of(home, present, labels, hadLabels, others);
  }

  private PersonState of(
      ZoneId home, long present, Set<Name> carried, Set<Name> had, List<VisitState> others) {
    return new PersonState(
        home,
        present,
        carried,
        had,
        fields,
        agreesToTexts,
        purchases,
        events,
        carts,
        hadMessages,
        sentAt,
        mostInAWeek,
        messagesAt,
        erasedAt,
        unsubscribedAt,
        complainedAt,
        bouncedAt,
        backAt,
        cartChangedAt,
        inSegments,
        coming,
        entries,
        others);
  }

  /**
   * @param product empty if it is not known what was bought
   */
  public record Purchase(long at, Optional<ProductName> product, long cents) {}

  /**
   * @param payload what it says about itself
   */
  public record Event(long at, EventName event, Map<AttributeName, Operand> payload) {
    public Event {
      payload = Map.copyOf(payload);
    }
  }

  /**
   * @param emptied whether nothing was left in it
   * @param product empty if nothing was left, or it is not known what
   * @param cents the value of the whole cart
   */
  public record CartLine(long at, boolean emptied, Optional<ProductName> product, long cents) {}

  /**
   * @param by the trigger that brings them; empty if they are put in in some other way
   * @param handedOverBy the journey that hands them over
   * @param cartChangedAt when the cart last changed that they come by; {@link Long#MIN_VALUE} if
   *     they do not
   */
  public record Coming(
      long at,
      JourneyName journey,
      Optional<Trigger> by,
      Optional<JourneyName> handedOverBy,
      long cartChangedAt) {}

  public record Entered(int times, long lastAt) {}
}
