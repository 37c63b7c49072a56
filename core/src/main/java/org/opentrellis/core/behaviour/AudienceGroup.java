package org.opentrellis.core.behaviour;

import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.opentrellis.core.journey.AttributeName;
import org.opentrellis.core.journey.Characters;
import org.opentrellis.core.journey.EventName;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.problem.Refused;

/**
 * A part of the audience whose people behave alike.
 *
 * @param name for the user
 * @param share of the people, in [0, 1]; the shares of all groups add up to 1
 * @param zone where they live
 * @param arriveFromHour the local hour from which on they come, 0 to 23
 * @param arriveToHour the local hour by which they have come, 1 to 24
 * @param preloads share whose mail program loads images by itself, which records an open
 * @param hardBounce share whose address is dead
 * @param softBounce chance that one email or text is not delivered this time
 * @param textConsent share who agreed to get texts
 * @param buysAnyway chance to buy within 30 days without any email
 * @param returnsToCart chance to buy what lies in the cart without any email, for those who left
 *     one
 * @param returnMeanHours how long those take on average
 * @param comesAgain chance to trigger the journey once more within 30 days
 * @param tags what they carry when they come
 * @param lists what they are on when they come
 * @param fields what their record says when they come
 * @param events how often a named event happens to each of them in 30 days
 * @param attributes what their events say about themselves; none is tied to another
 */
public record AudienceGroup(
    String name,
    double share,
    Keenness keenness,
    ZoneId zone,
    int arriveFromHour,
    int arriveToHour,
    Assumed preloads,
    Assumed hardBounce,
    Assumed softBounce,
    Assumed textConsent,
    Assumed buysAnyway,
    Assumed returnsToCart,
    Assumed returnMeanHours,
    Assumed comesAgain,
    Set<TagName> tags,
    Set<ListName> lists,
    Map<FieldName, FieldGuess> fields,
    Map<EventName, Assumed> events,
    Map<AttributeName, FieldGuess> attributes) {
  public AudienceGroup {
    if (name.isBlank() || name.length() > 80) {
      throw new Refused("an audience group needs a name of at most 80 characters");
    }
    Characters.refusal(name)
        .ifPresent(
            wrong -> {
              throw new Refused("an audience group's name " + wrong);
            });
    if (!(share >= 0 && share <= 1)) {
      throw new Refused("a group's share must be 0 to 1, not " + share);
    }
    if (arriveFromHour < 0 || arriveToHour > 24 || arriveFromHour >= arriveToHour) {
      throw new Refused(
          "people come between two hours of the day, not from %d to %d"
              .formatted(arriveFromHour, arriveToHour));
    }
    preloads.share("the share that pre-loads images");
    hardBounce.share("the share of dead addresses");
    softBounce.share("the chance of a soft bounce");
    textConsent.share("the share who agreed to texts");
    below1(buysAnyway.share("the chance to buy anyway"));
    returnsToCart.share("the chance to return to a cart");
    returnMeanHours.positive("the mean time to return to a cart");
    below1(comesAgain.share("the chance to come again"));
    tags = Set.copyOf(tags);
    lists = Set.copyOf(lists);
    fields = Map.copyOf(fields);
    events = Map.copyOf(events);
    events.values().forEach(AudienceGroup::rate);
    attributes = Map.copyOf(attributes);
    attributes.forEach(AudienceGroup::requireUntied);
    fields.forEach(AudienceGroup::requireNoTieToItself);
    for (FieldGuess guess : fields.values()) {
      requireTied(guess, fields);
    }
  }

  /** A copy to be changed. */
  public AudienceGroupEdit edit() {
    return new AudienceGroupEdit(this);
  }

  /** Refuses groups that are none, or whose shares do not add up to 1. */
  static void requireWhole(List<AudienceGroup> groups) {
    if (groups.isEmpty()) {
      throw new Refused("there must be at least one audience group");
    }
    double total = groups.stream().mapToDouble(AudienceGroup::share).sum();
    if (Math.abs(total - 1) > 1e-6) {
      throw new Refused(
          "the shares of the audience groups must add up to 100%, not "
              + Math.round(total * 1000) / 10.0
              + "%");
    }
  }

  private static void requireNoTieToItself(FieldName field, FieldGuess guess) {
    if (guess instanceof FieldGuess.WithField tie && tie.other().equals(field)) {
      throw new Refused("field %s cannot be tied to itself".formatted(field));
    }
  }

  private static void requireUntied(AttributeName attribute, FieldGuess guess) {
    if (guess instanceof FieldGuess.WithField) {
      throw new Refused("attribute %s of events cannot be tied to a field".formatted(attribute));
    }
  }

  private static void requireTied(FieldGuess guess, Map<FieldName, FieldGuess> fields) {
    if (guess instanceof FieldGuess.WithField tie
        && (fields.get(tie.other()) == null
            || fields.get(tie.other()) instanceof FieldGuess.WithField)) {
      throw new Refused(
          "a field is tied to %s, of which the group must say what it holds by itself"
              .formatted(tie.other()));
    }
  }

  private static void rate(Assumed perMonth) {
    if (perMonth.value() < 0 || perMonth.value() > 300) {
      throw new Refused("an event happens 0 to 300 times in 30 days, not " + perMonth.value());
    }
  }

  private static void below1(Assumed chance) {
    if (chance.value() > 0.99) {
      throw new Refused("a chance within 30 days must be at most 0.99, not " + chance.value());
    }
  }
}
