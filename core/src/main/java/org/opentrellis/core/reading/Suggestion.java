package org.opentrellis.core.reading;

/**
 * Something that can be taken with one key instead of what was typed.
 *
 * @param says what it is, as short as it can be said
 * @param text the whole text once it is taken
 */
public record Suggestion(String says, String text) {}
