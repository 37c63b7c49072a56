package org.opentrellis.app.people;

/**
 * What something that is done to many people would do.
 *
 * @param found how many people are meant
 * @param changing how many of them it would change
 * @param sentence both in words
 */
record ManyPreview(long found, long changing, String sentence) {}
