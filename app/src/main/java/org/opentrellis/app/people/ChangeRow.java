package org.opentrellis.app.people;

import org.jspecify.annotations.Nullable;
import org.opentrellis.app.names.NameKind;

/**
 * One thing that is different about a person after an act.
 *
 * @param kind of the label or field, with its number and name
 */
record ChangeRow(
    long personId,
    What what,
    @Nullable Long nameId,
    @Nullable NameKind kind,
    @Nullable String name,
    @Nullable String beforeValue,
    @Nullable String beforeHow,
    @Nullable Long beforeSince,
    @Nullable Long beforeUntil,
    @Nullable String afterValue,
    @Nullable String afterHow,
    @Nullable Long afterSince,
    @Nullable Long afterUntil) {

  static ChangeRow of(long person, What what, Side before, Side after) {
    return of(person, what, null, null, null, before, after);
  }

  static ChangeRow of(
      long person,
      What what,
      @Nullable Long number,
      @Nullable NameKind kind,
      @Nullable String name,
      Side before,
      Side after) {
    return new ChangeRow(
        person,
        what,
        number,
        kind,
        name,
        before.value(),
        before.how(),
        before.since(),
        before.until(),
        after.value(),
        after.how(),
        after.since(),
        after.until());
  }

  Side before() {
    return new Side(beforeValue, beforeHow, beforeSince, beforeUntil);
  }

  Side after() {
    return new Side(afterValue, afterHow, afterSince, afterUntil);
  }

  /** The way back. */
  ChangeRow back() {
    return of(personId, what, nameId, kind, name, after(), before());
  }

  /** Whether the label is carried, or the value there, afterwards. */
  boolean there() {
    return what == What.LABEL ? afterSince != null && afterUntil == null : afterValue != null;
  }
}
