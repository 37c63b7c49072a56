package org.opentrellis.core.behaviour;

import java.time.ZoneId;
import java.util.Map;
import java.util.Set;
import org.opentrellis.core.journey.AttributeName;
import org.opentrellis.core.journey.EventName;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.TagName;

/** A group with some of it exchanged: {@code group.edit().share(0.5).done()}. */
public final class AudienceGroupEdit {
  private String name;
  private double share;
  private Keenness keenness;
  private ZoneId zone;
  private int arriveFromHour;
  private int arriveToHour;
  private Assumed preloads;
  private Assumed hardBounce;
  private Assumed softBounce;
  private Assumed textConsent;
  private Assumed buysAnyway;
  private Assumed returnsToCart;
  private Assumed returnMeanHours;
  private Assumed comesAgain;
  private Set<TagName> tags;
  private Set<ListName> lists;
  private Map<FieldName, FieldGuess> fields;
  private Map<EventName, Assumed> events;
  private Map<AttributeName, FieldGuess> attributes;

  AudienceGroupEdit(AudienceGroup from) {
    name = from.name();
    share = from.share();
    keenness = from.keenness();
    zone = from.zone();
    arriveFromHour = from.arriveFromHour();
    arriveToHour = from.arriveToHour();
    preloads = from.preloads();
    hardBounce = from.hardBounce();
    softBounce = from.softBounce();
    textConsent = from.textConsent();
    buysAnyway = from.buysAnyway();
    returnsToCart = from.returnsToCart();
    returnMeanHours = from.returnMeanHours();
    comesAgain = from.comesAgain();
    tags = from.tags();
    lists = from.lists();
    fields = from.fields();
    events = from.events();
    attributes = from.attributes();
  }

  public AudienceGroupEdit name(String other) {
    name = other;
    return this;
  }

  public AudienceGroupEdit share(double other) {
    share = other;
    return this;
  }

  public AudienceGroupEdit keenness(Keenness other) {
    keenness = other;
    return this;
  }

  public AudienceGroupEdit zone(ZoneId other) {
    zone = other;
    return this;
  }

  public AudienceGroupEdit arriveFromHour(int other) {
    arriveFromHour = other;
    return this;
  }

  public AudienceGroupEdit arriveToHour(int other) {
    arriveToHour = other;
    return this;
  }

  public AudienceGroupEdit preloads(Assumed other) {
    preloads = other;
    return this;
  }

  public AudienceGroupEdit hardBounce(Assumed other) {
    hardBounce = other;
    return this;
  }

  public AudienceGroupEdit softBounce(Assumed other) {
    softBounce = other;
    return this;
  }

  public AudienceGroupEdit textConsent(Assumed other) {
    textConsent = other;
    return this;
  }

  public AudienceGroupEdit buysAnyway(Assumed other) {
    buysAnyway = other;
    return this;
  }

  public AudienceGroupEdit returnsToCart(Assumed other) {
    returnsToCart = other;
    return this;
  }

  public AudienceGroupEdit returnMeanHours(Assumed other) {
    returnMeanHours = other;
    return this;
  }

  public AudienceGroupEdit comesAgain(Assumed other) {
    comesAgain = other;
    return this;
  }

  public AudienceGroupEdit tags(Set<TagName> other) {
    tags = other;
    return this;
  }

  public AudienceGroupEdit lists(Set<ListName> other) {
    lists = other;
    return this;
  }

  public AudienceGroupEdit fields(Map<FieldName, FieldGuess> other) {
    fields = other;
    return this;
  }

  public AudienceGroupEdit events(Map<EventName, Assumed> other) {
    events = other;
    return this;
  }

  public AudienceGroupEdit attributes(Map<AttributeName, FieldGuess> other) {
    attributes = other;
    return this;
  }

  public AudienceGroup done() {
    return new AudienceGroup(
        name,
        share,
        keenness,
        zone,
        arriveFromHour,
        arriveToHour,
        preloads,
        hardBounce,
        softBounce,
        textConsent,
        buysAnyway,
        returnsToCart,
        returnMeanHours,
        comesAgain,
        tags,
        lists,
        fields,
        events,
        attributes);
  }
}
