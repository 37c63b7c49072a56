package org.opentrellis.app.people;

/** In which order people are listed. */
enum PeopleOrder {
  NAME,
  ADDRESS,
  NEWEST
}
