package org.opentrellis.app.intake;

/** Whether the people of a table agreed to email. */
enum Agreement {
  THEY_AGREED,
  NOT_YET
}
