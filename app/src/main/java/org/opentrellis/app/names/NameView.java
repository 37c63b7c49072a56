package org.opentrellis.app.names;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.people.FieldType;

/**
 * A registered name.
 *
 * @param fieldType what a field holds; null as long as nobody has filled it in
 * @param people who carry the tag, are on the list, or have a value of the field
 */
record NameView(long id, NameKind kind, String name, @Nullable FieldType fieldType, long people) {}
