package org.opentrellis.app.people;

import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.TagName;

/** A tag that somebody carries, or a list that they are on. */
record LabelRow(long personId, NameKind kind, String name, long since, String how) {

  Name label() {
    return kind == NameKind.LIST ? new ListName(name) : new TagName(name);
  }
}
