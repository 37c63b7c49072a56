package org.opentrellis.mail;

/**
 * A file that may be kept.
 *
 * @param name with an ending that fits
 * @param width in pixels; 0 for what is no picture
 * @param height likewise
 */
public record TakenFile(String name, FileKind kind, byte[] content, int width, int height) {}
