package org.opentrellis.app.people;

/** What becomes of people who are there already when a table names them. */
public enum Known {
  /** What the table says takes the place of what is there; where it says nothing, all stays. */
  BRING_UP_TO_DATE,
  /** Only what is not known yet is taken over. */
  FILL_GAPS,
  /** They stay as they are. */
  LEAVE
}
