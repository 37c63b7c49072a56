package org.opentrellis.app.people;

import org.jspecify.annotations.Nullable;
import org.opentrellis.app.names.NameKind;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.TagName;

/** A tag that somebody carries, or a list that they are on. */
record LabelRow(
    long personId, NameKind kind, String name, long since, String how, @Nullable Long until) {

  Name label() {
    return kind == NameKind.LIST ? new ListName(name) : new TagName(name);
  }

  Side side() {
    return new Side(null, how, since, until);
  }
}
