package org.opentrellis.core.compare;

import org.jspecify.annotations.Nullable;

/**
 * Something in the figures that a practitioner should look at.
 *
 * @param rule the code of the rule that found it
 * @param text a sentence with the figures
 * @param run the place of the run it speaks of
 * @param step the step it speaks of, or null for the whole run
 * @param shows the measure that shows it, or null for the whole run's figures
 * @param weight how much it matters, more being weightier
 */
public record StandOut(
    String rule,
    String text,
    int run,
    @Nullable String step,
    @Nullable Compared shows,
    double weight) {}
