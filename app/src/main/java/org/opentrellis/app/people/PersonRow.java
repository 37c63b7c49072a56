package org.opentrellis.app.people;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.people.Mailing;

/** A person without what they carry; moments are epoch seconds. */
record PersonRow(
    long id,
    String address,
    @Nullable String firstName,
    @Nullable String lastName,
    @Nullable String phone,
    String zone,
    Mailing mailing,
    long mailingSince,
    String mailingHow,
    @Nullable String mailingWords,
    boolean texts,
    String source,
    long cameAt,
    int version) {

  /** As they are sorted and searched. */
  String nameKey() {
    String first = firstName == null ? "" : firstName;
    String last = lastName == null ? "" : lastName;
    return WhoSql.key((last + " " + first).strip());
  }

  /** Null if it is not known. */
  @Nullable String name() {
    if (firstName == null || lastName == null) {
      return firstName == null ? lastName : firstName;
    }
    return firstName + " " + lastName;
  }

  String addressKey() {
    return WhoSql.key(address);
  }
}
