package org.opentrellis.core.format;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;

/** A trigger as JSON; {@code kind} says which. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({
  @JsonSubTypes.Type(value = TriggerDocument.JoinsList.class, name = "joinsList"),
  @JsonSubTypes.Type(value = TriggerDocument.GetsTag.class, name = "getsTag")
})
public sealed interface TriggerDocument {
  record JoinsList(String list) implements TriggerDocument {}

  record GetsTag(String tag) implements TriggerDocument {}
}
