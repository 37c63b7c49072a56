package org.opentrellis.app.names;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.people.FieldType;

/**
 * A registered name.
 *
 * @param choices a line each
 * @param people who have to do with it, as {@link NameView} says
 * @param happened in how many purchases, carts and events it stands
 */
record NameRow(
    long id,
    NameKind kind,
    String name,
    @Nullable String about,
    @Nullable String inGroup,
    @Nullable FieldType fieldType,
    @Nullable String choices,
    @Nullable String category,
    @Nullable Long priceCents,
    long people,
    long happened) {

  Name asName() {
    return kind.named(name);
  }

  List<String> mayBe() {
    return choices == null ? List.of() : choices.lines().toList();
  }
}
