package org.opentrellis.app.account;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.report.SendingLimits;

record LimitsRow(@Nullable Long monthlyQuota, @Nullable Double segmentPrice, int emailsPerWeek) {

  static LimitsRow of(SendingLimits limits) {
    return new LimitsRow(limits.monthlyQuota(), limits.segmentPrice(), limits.emailsPerWeek());
  }

  SendingLimits limits() {
    return new SendingLimits(monthlyQuota, segmentPrice, emailsPerWeek);
  }
}
