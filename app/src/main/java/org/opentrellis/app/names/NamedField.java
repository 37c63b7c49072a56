package org.opentrellis.app.names;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.people.FieldType;

/**
 * A field and what it holds.
 *
 * @param fieldType null as long as nobody has filled it in
 * @param choices what may be chosen, a line each
 */
public record NamedField(String name, @Nullable FieldType fieldType, @Nullable String choices) {

  public List<String> mayBe() {
    return choices == null ? List.of() : choices.lines().toList();
  }
}
