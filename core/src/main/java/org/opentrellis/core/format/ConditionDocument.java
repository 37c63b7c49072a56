package org.opentrellis.core.format;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** A condition as JSON; {@code kind} says which. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({
  @JsonSubTypes.Type(value = ConditionDocument.Opened.class, name = "opened"),
  @JsonSubTypes.Type(value = ConditionDocument.Clicked.class, name = "clicked"),
  @JsonSubTypes.Type(value = ConditionDocument.HasTag.class, name = "hasTag"),
  @JsonSubTypes.Type(value = ConditionDocument.OnList.class, name = "onList"),
  @JsonSubTypes.Type(value = ConditionDocument.All.class, name = "all"),
  @JsonSubTypes.Type(value = ConditionDocument.Any.class, name = "any"),
  @JsonSubTypes.Type(value = ConditionDocument.None.class, name = "none")
})
public sealed interface ConditionDocument {
  record Opened(String email, boolean peopleOnly) implements ConditionDocument {}

  /**
   * @param link one link's name, or null for any
   */
  record Clicked(String email, @Nullable String link) implements ConditionDocument {}

  record HasTag(String tag) implements ConditionDocument {}

  record OnList(String list) implements ConditionDocument {}

  record All(List<ConditionDocument> parts) implements ConditionDocument {}

  record Any(List<ConditionDocument> parts) implements ConditionDocument {}

  record None(List<ConditionDocument> parts) implements ConditionDocument {}
}
