package org.opentrellis.app.account;

import org.jspecify.annotations.Nullable;

/**
 * Sending limits as a user sets them; {@link org.opentrellis.core.report.SendingLimits} says what
 * they mean.
 *
 * @param version the one that they were read at
 */
record LimitsOrder(
    @Nullable Long monthlyQuota, @Nullable Double segmentPrice, int emailsPerWeek, int version) {}
