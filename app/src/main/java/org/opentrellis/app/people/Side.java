package org.opentrellis.app.people;

import org.jspecify.annotations.Nullable;

/**
 * How one thing of a person is: a name, a phone number, a zone as its value; a field's coded; of
 * mailing the state with how it is known and since when; of a label how it came, since and until
 * when.
 */
record Side(
    @Nullable String value, @Nullable String how, @Nullable Long since, @Nullable Long until) {

  /** What is not there. */
  static final Side NONE = new Side(null, null, null, null);

  static Side of(@Nullable String value) {
    return new Side(value, null, null, null);
  }
}
