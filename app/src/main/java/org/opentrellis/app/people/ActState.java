package org.opentrellis.app.people;

/** How far an act is. */
enum ActState {
  UNDER_WAY,
  DONE,
  GOING_BACK,
  TAKEN_BACK;

  boolean isOver() {
    return this == DONE || this == TAKEN_BACK;
  }
}
