package org.opentrellis.app.people;

/** Who is meant, as it is typed. */
record SaidWho(String says) {}
