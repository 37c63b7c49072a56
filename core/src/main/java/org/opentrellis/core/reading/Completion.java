package org.opentrellis.core.reading;

/**
 * A way to go on typing.
 *
 * @param text what is put in
 * @param from where, counted in characters from the start of the sentence; up to the caret
 * @param what what it is, such as "tag"; empty for words of the language
 */
public record Completion(String text, int from, String what) {}
