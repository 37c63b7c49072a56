package org.opentrellis.core.message;

/**
 * The colours of a message.
 *
 * @param ground around the letter
 * @param paper what the letter is written on
 */
public record Palette(
    Colour ground, Colour paper, Colour ink, Colour link, Colour button, Colour buttonInk) {}
