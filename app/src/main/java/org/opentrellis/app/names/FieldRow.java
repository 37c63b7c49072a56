package org.opentrellis.app.names;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.people.FieldType;

/**
 * What a field holds.
 *
 * @param fieldType null as long as nobody has filled it in
 * @param choices what may be chosen, a line each
 */
record FieldRow(@Nullable FieldType fieldType, @Nullable String choices) {

  List<String> mayBe() {
    return choices == null ? List.of() : choices.lines().toList();
  }
}
