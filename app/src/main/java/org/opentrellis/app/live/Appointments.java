package org.opentrellis.app.live;

/** What is to be decided for many at a moment, before anybody's turn at that moment. */
public interface Appointments {

  /** When the next is, in epoch seconds, or {@link Long#MAX_VALUE}. */
  long next();

  /**
   * Keeps those up to a moment, so that none of them is left.
   *
   * @return how many there were
   */
  int keep(long until);
}
