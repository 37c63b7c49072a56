package org.opentrellis.core.proofreading;

/**
 * What is to be known of a kept file.
 *
 * @param bytes its size
 */
public record KnownFile(boolean picture, long bytes) {}
