package org.opentrellis.core.journey;

/** What brings a person into a journey. */
public sealed interface Trigger {

  record JoinsList(ListName list) implements Trigger {}

  record GetsTag(TagName tag) implements Trigger {}
}
