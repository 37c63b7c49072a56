package org.opentrellis.core.dryrun;

import java.math.BigInteger;

/**
 * What the people of a journey's visits bought after they entered, whatever brought it about, with
 * the squares that intervals need. Integers only, the squares in 128 bits.
 */
public final class MoneyTally {
  private long buyers;
  private long orders;
  private long ordersSquared;
  private long ordersByEmails;
  private long emails;
  private long emailsSquared;
  private long cents;
  private long centsByEmails;
  private long squareHigh;
  private long squareLow;

  /** Counts a visit, once it is over. */
  void close(Course course) {
    int emailsSent = course.emails();
    long worth = 0;
    long count = 0;
    for (int n = 0; n < course.purchases() && course.boughtAt(n) <= course.end(); n++) {
      if (course.boughtAt(n) > course.entryAt()) {
        count++;
        worth += course.cents(n);
      }
    }
    emails += emailsSent;
    emailsSquared += (long) emailsSent * emailsSent;
    if (count > 0) {
      buyers++;
      orders += count;
      ordersSquared += count * count;
      ordersByEmails += count * emailsSent;
      cents += worth;
      centsByEmails += worth * emailsSent;
      addSquare(Math.multiplyHigh(worth, worth), worth * worth);
    }
  }

  private void addSquare(long high, long low) {
    long sum = squareLow + low;
    squareHigh += high + (Long.compareUnsigned(sum, low) < 0 ? 1 : 0);
    squareLow = sum;
  }

  void combine(MoneyTally other) {
    buyers += other.buyers;
    orders += other.orders;
    ordersSquared += other.ordersSquared;
    ordersByEmails += other.ordersByEmails;
    emails += other.emails;
    emailsSquared += other.emailsSquared;
    cents += other.cents;
    centsByEmails += other.centsByEmails;
    addSquare(other.squareHigh, other.squareLow);
  }

  void counts(Counts counts) {
    buyers = counts.of(buyers);
    orders = counts.of(orders);
    ordersSquared = counts.of(ordersSquared);
    ordersByEmails = counts.of(ordersByEmails);
    emails = counts.of(emails);
    emailsSquared = counts.of(emailsSquared);
    cents = counts.of(cents);
    centsByEmails = counts.of(centsByEmails);
    squareHigh = counts.of(squareHigh);
    squareLow = counts.of(squareLow);
  }

  /** Entries after which the person bought something. */
  public long buyers() {
    return buyers;
  }

  /** Purchases after entry. */
  public long orders() {
    return orders;
  }

  /** The sum over entries of orders times orders. */
  public long ordersSquared() {
    return ordersSquared;
  }

  /** The sum over entries of orders times emails sent. */
  public long ordersByEmails() {
    return ordersByEmails;
  }

  public long emails() {
    return emails;
  }

  /** The sum over entries of emails times emails. */
  public long emailsSquared() {
    return emailsSquared;
  }

  /** What was bought for. */
  public long cents() {
    return cents;
  }

  /** The sum over entries of cents times emails sent. */
  public long centsByEmails() {
    return centsByEmails;
  }

  /** The sum over entries of cents times cents. */
  public double centsSquared() {
    BigInteger low = new BigInteger(Long.toUnsignedString(squareLow));
    return BigInteger.valueOf(squareHigh).shiftLeft(64).add(low).doubleValue();
  }
}
