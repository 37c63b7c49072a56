package org.opentrellis.app.dryruns;

import org.jspecify.annotations.Nullable;

/**
 * What a run that is not begun yet would be like.
 *
 * @param seconds that this machine would take
 * @param sentence where it is made, and how long that takes; null if it is hardly worth a word
 */
record RunOutlook(double seconds, @Nullable String sentence) {}
