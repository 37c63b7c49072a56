package org.opentrellis.app.people;

/**
 * A sentence about people as it stands while it is typed.
 *
 * @param caret where completions are wanted, in characters from its start
 */
record TypedWho(String text, int caret) {}
