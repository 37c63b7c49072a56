package org.opentrellis.app.account;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.report.SendingLimits;

record LimitsRow(
    @Nullable Long monthlyQuota, @Nullable Double segmentPrice, int emailsPerWeek, int version) {

  static LimitsRow of(SendingLimits limits, int version) {
    return new LimitsRow(
        limits.monthlyQuota(), limits.segmentPrice(), limits.emailsPerWeek(), version);
  }

  SendingLimits limits() {
    return new SendingLimits(monthlyQuota, segmentPrice, emailsPerWeek);
  }
}
