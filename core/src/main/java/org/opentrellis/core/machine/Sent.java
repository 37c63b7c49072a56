package org.opentrellis.core.machine;

/**
 * One message of a visit, and what became of it. Times are epoch seconds; {@link Person#NEVER}
 * means that it has not happened and is not known to happen. Evidence may lie ahead.
 *
 * <p>Mutable and reused from person to person, for speed.
 */
public final class Sent {
  private final int send;
  private int variant;
  private long at;
  private long deliveredAt;
  private long bouncedAt;
  private long recordedOpenAt;
  private long peopleOpenAt;
  private long clickAt;
  private int clickedLink;
  private long orderAt;
  private long orderCents;

  Sent(int send) {
    this.send = send;
    forget();
  }

  void forget() {
    at = Person.NEVER;
    deliveredAt = Person.NEVER;
    bouncedAt = Person.NEVER;
    recordedOpenAt = Person.NEVER;
    peopleOpenAt = Person.NEVER;
    clickAt = Person.NEVER;
    orderAt = Person.NEVER;
  }

  void goesOut(int whichVariant, long moment) {
    variant = whichVariant;
    at = moment;
  }

  /** The earliest counts, here and below. */
  void delivered(long moment) {
    deliveredAt = Math.min(deliveredAt, moment);
  }

  void bounced(long moment) {
    bouncedAt = Math.min(bouncedAt, moment);
  }

  void openRecorded(long moment) {
    recordedOpenAt = Math.min(recordedOpenAt, moment);
  }

  void opened(long moment) {
    peopleOpenAt = Math.min(peopleOpenAt, moment);
  }

  void clicked(int link, long moment) {
    if (moment < clickAt) {
      clickAt = moment;
      clickedLink = link;
    }
  }

  void ordered(long moment, long cents) {
    orderAt = moment;
    orderCents = cents;
  }

  /** Its number among the journey's sends. */
  public int send() {
    return send;
  }

  /** Which variant went out; 0 if there is but one. */
  public int variant() {
    return variant;
  }

  /** When it went out. */
  public long at() {
    return at;
  }

  public long deliveredAt() {
    return deliveredAt;
  }

  public long bouncedAt() {
    return bouncedAt;
  }

  public long recordedOpenAt() {
    return recordedOpenAt;
  }

  public long peopleOpenAt() {
    return peopleOpenAt;
  }

  public long clickAt() {
    return clickAt;
  }

  /** The link of the first click; -1 if it is not known. Means nothing without a click. */
  public int clickedLink() {
    return clickedLink;
  }

  /** When the person ordered because of it. */
  public long orderAt() {
    return orderAt;
  }

  /** Means nothing without an order. */
  public long orderCents() {
    return orderCents;
  }
}
