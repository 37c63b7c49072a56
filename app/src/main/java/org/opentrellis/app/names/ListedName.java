package org.opentrellis.app.names;

/** A name with its kind, and nothing else. */
record ListedName(NameKind kind, String name) {}
