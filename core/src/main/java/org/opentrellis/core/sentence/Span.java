package org.opentrellis.core.sentence;

/**
 * A piece of a sentence.
 *
 * @param text its words
 * @param strong whether it is one of the user's own choices, to be set off
 */
public record Span(String text, boolean strong) {}
