package org.opentrellis.app.people;

/** How far an act is. */
public enum ActState {
  UNDER_WAY,
  DONE,
  GOING_BACK,
  TAKEN_BACK;

  public boolean isOver() {
    return this == DONE || this == TAKEN_BACK;
  }
}
