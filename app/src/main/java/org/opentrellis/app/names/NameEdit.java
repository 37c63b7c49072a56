package org.opentrellis.app.names;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.people.FieldType;

/**
 * A registered name as a user writes it down.
 *
 * @param about what it is for, in a sentence
 * @param group in which it stands, for a tag
 * @param fieldType what a field holds; null where that is not known yet
 * @param choices what may be chosen, for a field that is one of a list
 * @param category of a product
 * @param priceCents of a product
 */
public record NameEdit(
    NameKind kind,
    String name,
    @Nullable String about,
    @Nullable String group,
    @Nullable FieldType fieldType,
    List<String> choices,
    @Nullable String category,
    @Nullable Long priceCents) {

  /**
   * @throws org.opentrellis.core.problem.Refused if there can be no such name
   */
  public Name asName() {
    return kind.named(name);
  }
}
