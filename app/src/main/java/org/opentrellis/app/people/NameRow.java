package org.opentrellis.app.people;

/** A registered name. */
record NameRow(NameKind kind, String name) {}
