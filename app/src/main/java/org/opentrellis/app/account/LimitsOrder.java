package org.opentrellis.app.account;

import org.jspecify.annotations.Nullable;

/**
 * Sending limits as a user sets them; {@link org.opentrellis.core.report.SendingLimits} says what
 * they mean.
 */
record LimitsOrder(@Nullable Long monthlyQuota, @Nullable Double segmentPrice, int emailsPerWeek) {}
