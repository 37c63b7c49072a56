package org.opentrellis.app.letters;

import org.jspecify.annotations.Nullable;

/**
 * A test of what is saved.
 *
 * @param person as whom; null for a made-up one
 * @param made the made-up one; null for one of whom nothing is known
 * @param to where it goes; null for the first sender's own address
 */
record TestOrder(@Nullable Long person, @Nullable MadeUpPerson made, @Nullable String to) {}
