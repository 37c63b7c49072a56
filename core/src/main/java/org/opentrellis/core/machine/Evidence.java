package org.opentrellis.core.machine;

/** Kinds of what becomes known about a person, as bits. */
final class Evidence {
  static final int NONE = 0;

  /** What was sent, and what became of it. */
  static final int MAIL = 1;

  /** Tags, lists and fields. */
  static final int RECORD = 2;

  static final int PURCHASES = 4;
  static final int EVENTS = 8;

  /** What lies in the cart. */
  static final int CARTS = 16;

  private Evidence() {}
}
