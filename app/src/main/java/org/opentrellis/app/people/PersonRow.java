package org.opentrellis.app.people;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
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

  /** The same person with another name, phone and zone. */
  PersonRow with(
      @Nullable String first, @Nullable String last, @Nullable String number, String place) {
    return new PersonRow(
        id,
        address,
        first,
        last,
        number,
        place,
        mailing,
        mailingSince,
        mailingHow,
        mailingWords,
        texts,
        source,
        cameAt,
        version);
  }

  /** What is different in another form of them, in sentences. */
  List<String> differences(PersonRow other) {
    List<String> said = new ArrayList<>();
    said(said, "First name", firstName, other.firstName);
    said(said, "Last name", lastName, other.lastName);
    said(said, "Phone", phone, other.phone);
    said(said, "Time zone", zone, other.zone);
    return said;
  }

  private static void said(
      List<String> all, String what, @Nullable String before, @Nullable String after) {
    if (!Objects.equals(before, after)) {
      all.add(
          "%s was %s%s, by hand."
              .formatted(
                  what,
                  after == null ? "cleared" : "set to " + after,
                  before == null ? "" : " (before: " + before + ")"));
    }
  }

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
