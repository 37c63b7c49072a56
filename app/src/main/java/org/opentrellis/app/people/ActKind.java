package org.opentrellis.app.people;

/** What kinds of things are done to people in one go. */
public enum ActKind {
  /** One person, changed by hand. */
  EDIT,
  /** The same to many. */
  MANY,
  /** A table that is brought in. */
  TABLE
}
