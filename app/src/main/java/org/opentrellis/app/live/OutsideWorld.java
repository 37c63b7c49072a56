package org.opentrellis.app.live;

/** Those who come and act by themselves while time goes on, through the doors of the public. */
public interface OutsideWorld {

  /** When somebody does something next, in epoch seconds, or {@link Long#MAX_VALUE}. */
  long next();

  /**
   * Has done what is to be done up to a moment, which is now. What cannot be done yet is tried
   * again later, so that nothing is left at this moment.
   *
   * @return how much there was to do
   */
  int goOn(long now);
}
