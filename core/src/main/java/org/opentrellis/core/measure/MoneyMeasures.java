package org.opentrellis.core.measure;

import org.opentrellis.core.dryrun.MoneyTally;
import org.opentrellis.core.stats.Ratio;

/**
 * What people bought after they entered, whatever brought it about. Money is in the account's
 * currency.
 *
 * @param buyers bought something, of entered
 * @param orders how many purchases
 * @param revenue what they were worth in all
 * @param ordersPerThousandPeople of those who entered
 * @param ordersPerThousandEmails of those sent
 * @param revenuePerThousandPeople of those who entered
 * @param revenuePerThousandEmails of those sent
 */
public record MoneyMeasures(
    Share buyers,
    long orders,
    double revenue,
    Estimated ordersPerThousandPeople,
    Estimated ordersPerThousandEmails,
    Estimated revenuePerThousandPeople,
    Estimated revenuePerThousandEmails) {

  static MoneyMeasures of(MoneyTally tally, long entered) {
    double cents = tally.cents();
    double emails = tally.emails();
    double emailsSquared = tally.emailsSquared();
    return new MoneyMeasures(
        Share.of(tally.buyers(), entered),
        tally.orders(),
        cents / 100,
        Estimated.of(Ratio.mean(entered, tally.orders(), tally.ordersSquared()), 1000),
        Estimated.of(
            Ratio.of(
                entered,
                tally.orders(),
                emails,
                tally.ordersSquared(),
                tally.ordersByEmails(),
                emailsSquared),
            1000),
        Estimated.of(Ratio.mean(entered, cents, tally.centsSquared()), 10),
        Estimated.of(
            Ratio.of(
                entered, cents, emails, tally.centsSquared(), tally.centsByEmails(), emailsSquared),
            10));
  }
}
