package org.opentrellis.app.letters;

/**
 * A part of a message as it stands while it is typed.
 *
 * @param caret where completions are wanted, in characters from its start
 * @param id that the part is to have
 */
record TypedPart(String text, int caret, String id) {}
