package org.opentrellis.app.names;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.people.FieldType;

/**
 * A name: registered, or only used so far.
 *
 * @param id null if it is used by a journey and not registered yet
 * @param about what it is for
 * @param group in which a tag stands
 * @param fieldType what a field holds; null as long as nobody has filled it in
 * @param choices what may be chosen, for a field that is one of a list
 * @param people who carry the tag, are on the list, have a value of the field, have bought the
 *     product or of the category, or to whom the event has happened
 * @param happened in how many purchases, carts and events it stands
 * @param found a sentence that finds those people; null where none does
 * @param usedBy what uses it, also through a strand or a segment
 * @param deleting what would happen if it were deleted, in sentences
 */
record NameView(
    @Nullable Long id,
    NameKind kind,
    String name,
    @Nullable String about,
    @Nullable String group,
    @Nullable FieldType fieldType,
    List<String> choices,
    @Nullable String category,
    @Nullable Long priceCents,
    long people,
    long happened,
    @Nullable String found,
    List<NameUse> usedBy,
    List<String> deleting) {

  static NameView of(NameRow row, List<NameUse> usedBy, @Nullable String found) {
    return new NameView(
        row.id(),
        row.kind(),
        row.name(),
        row.about(),
        row.inGroup(),
        row.fieldType(),
        row.mayBe(),
        row.category(),
        row.priceCents(),
        row.people(),
        row.happened(),
        found,
        usedBy,
        NameWords.deleting(row, usedBy));
  }

  /** One that journeys use and that is not registered. */
  static NameView unknown(NameKind kind, String name, List<NameUse> usedBy) {
    return new NameView(
        null, kind, name, null, null, null, List.of(), null, null, 0, 0, null, usedBy, List.of());
  }
}
