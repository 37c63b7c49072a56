package org.opentrellis.app.account;

import java.time.LocalTime;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.account.Texting;
import org.opentrellis.core.report.SendingLimits;

/** The account as it is kept, without its senders. */
record AccountRow(
    String name,
    String postalAddress,
    String zone,
    String language,
    String currency,
    @Nullable LocalTime quietFrom,
    @Nullable LocalTime quietTo,
    @Nullable Long monthlyQuota,
    @Nullable Double segmentPrice,
    int emailsPerWeek,
    String textSender,
    String textStop,
    int version) {

  Texting texting() {
    return new Texting(textSender, textStop);
  }

  SendingLimits limits() {
    return new SendingLimits(monthlyQuota, segmentPrice, emailsPerWeek);
  }
}
