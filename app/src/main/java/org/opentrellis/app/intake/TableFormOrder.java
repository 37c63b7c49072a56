package org.opentrellis.app.intake;

/** How a table is written, as a user says it; {@code core.intake.TableForm} says what may be. */
record TableFormOrder(String encoding, String delimiter, boolean header) {}
