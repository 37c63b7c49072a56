package org.opentrellis.core.intake;

/** What a column of a table can be. */
public enum Use {
  ADDRESS,
  FIRST_NAME,
  LAST_NAME,
  /** Both names; the last word is the last name. */
  WHOLE_NAME,
  PHONE,
  ZONE,
  /** Whether they may be mailed. */
  MAILING,
  LISTS,
  TAGS,
  FIELD,
  LEFT_OUT
}
