package org.opentrellis.core.problem;

/** How bad a problem is: an error forbids, a warning advises. */
public enum Severity {
  ERROR,
  WARNING
}
