package org.opentrellis.app.names;

/** A registered name. */
record NameRow(NameKind kind, String name) {}
