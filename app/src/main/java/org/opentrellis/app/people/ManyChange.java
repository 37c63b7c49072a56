package org.opentrellis.app.people;

/** What can be done to many people. */
public enum ManyChange {
  TAG,
  UNTAG,
  PUT_ON_LIST,
  TAKE_OFF_LIST,
  SET_FIELD,
  CLEAR_FIELD,
  STOP_MAILING
}
