package org.opentrellis.app.demo;

import java.util.List;
import org.opentrellis.app.account.AccountOrder;
import org.opentrellis.core.format.Documents;

/** Ambercomb itself. Its number is of those that are kept free for fiction (Ofcom, from memory). */
final class DemoAccount {
  private static final long MONTHLY_QUOTA = 50_000;
  private static final double SEGMENT_PRICE = 0.07;
  private static final int EMAILS_PER_WEEK = 4;

  private DemoAccount() {}

  static AccountOrder account() {
    return new AccountOrder(
        "Ambercomb",
        "Ambercomb co-op\nHive Lane 3\n01234 Combton",
        Documents.USUAL_ZONE.getId(),
        "en-GB",
        "EUR",
        List.of(
            new AccountOrder.SenderPart("Mira of Ambercomb", "mira@example.com", null),
            new AccountOrder.SenderPart(
                "Ambercomb courses", "courses@example.com", "hello@example.com")),
        new AccountOrder.QuietPart("21:00", "07:00"),
        MONTHLY_QUOTA,
        SEGMENT_PRICE,
        EMAILS_PER_WEEK,
        "+44 7700 900123",
        "Answer STOP to get no more texts",
        1);
  }
}
