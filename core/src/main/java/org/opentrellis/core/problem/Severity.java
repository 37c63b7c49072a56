package org.opentrellis.core.problem;

/** How bad a problem is: an error forbids, a warning advises, a note is worth knowing. */
public enum Severity {
  ERROR,
  WARNING,
  NOTE
}
