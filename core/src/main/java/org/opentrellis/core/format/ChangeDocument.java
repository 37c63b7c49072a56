package org.opentrellis.core.format;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.List;

/** A change of a record as JSON; {@code kind} says which. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({
  @JsonSubTypes.Type(value = ChangeDocument.AddTag.class, name = "addTag"),
  @JsonSubTypes.Type(value = ChangeDocument.RemoveTag.class, name = "removeTag"),
  @JsonSubTypes.Type(value = ChangeDocument.JoinList.class, name = "joinList"),
  @JsonSubTypes.Type(value = ChangeDocument.LeaveList.class, name = "leaveList"),
  @JsonSubTypes.Type(value = ChangeDocument.MoveToList.class, name = "moveToList"),
  @JsonSubTypes.Type(value = ChangeDocument.CopyToList.class, name = "copyToList")
})
public sealed interface ChangeDocument {
  record AddTag(String tag) implements ChangeDocument {}

  record RemoveTag(String tag) implements ChangeDocument {}

  record JoinList(String list) implements ChangeDocument {}

  record LeaveList(String list) implements ChangeDocument {}

  record MoveToList(String list, List<String> from) implements ChangeDocument {}

  record CopyToList(String list) implements ChangeDocument {}
}
