package org.opentrellis.app.account;

import org.jspecify.annotations.Nullable;

/** Sending limits with their version. */
record LimitsView(
    @Nullable Long monthlyQuota, @Nullable Double segmentPrice, int emailsPerWeek, int version) {

  static LimitsView of(AccountRow row) {
    return new LimitsView(
        row.monthlyQuota(), row.segmentPrice(), row.emailsPerWeek(), row.version());
  }
}
