package org.opentrellis.app.people;

/** A tag that somebody carries, or a list that they are on. */
record LabelRow(long personId, NameKind kind, String name, long since, String how) {}
