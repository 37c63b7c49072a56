package org.opentrellis.app.people;

import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.people.HowOften;
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
    @Nullable Long textsSince,
    @Nullable String textsHow,
    String source,
    long cameAt,
    HowOften howOften,
    int version) {
  /** Behind all letters. */
  private static final String NAMELESS = "\uffff";

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
        textsSince,
        textsHow,
        source,
        cameAt,
        howOften,
        version);
  }

  /** What is different in another form of them. */
  List<ChangeRow> differences(PersonRow other) {
    return Stream.of(
            change(What.FIRST_NAME, firstName, other.firstName),
            change(What.LAST_NAME, lastName, other.lastName),
            change(What.PHONE, phone, other.phone),
            change(What.ZONE, zone, other.zone))
        .filter(one -> !Objects.equals(one.beforeValue(), one.afterValue()))
        .toList();
  }

  private ChangeRow change(What what, @Nullable String before, @Nullable String after) {
    return ChangeRow.of(id, what, Side.of(before), Side.of(after));
  }

  /** As they are sorted and searched; whoever has no name comes last. */
  String nameKey() {
    return nameKey(firstName, lastName);
  }

  static String nameKey(@Nullable String firstName, @Nullable String lastName) {
    String first = firstName == null ? "" : firstName;
    String last = lastName == null ? "" : lastName;
    String key = TextKey.of((last + " " + first).strip());
    return key.isEmpty() ? NAMELESS : key;
  }

  /** Null if it is not known. */
  @Nullable String name() {
    if (firstName == null || lastName == null) {
      return firstName == null ? lastName : firstName;
    }
    return firstName + " " + lastName;
  }

  String addressKey() {
    return TextKey.of(address);
  }
}
