package org.opentrellis.app.people;

/** Something that happened to a person. */
record StoryRow(long at, String kind, String document) {}
