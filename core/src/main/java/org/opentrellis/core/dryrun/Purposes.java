package org.opentrellis.core.dryrun;

/** What draws are for; part of each draw's address, so a number here is never reused. */
final class Purposes {
  static final int GROUP = 1;
  static final int KEENNESS = 2;
  static final int PRELOADS = 3;
  static final int DEAD_ADDRESS = 4;
  static final int ARRIVAL = 5;
  static final int TRIGGER = 6;
  static final int BUYS_ANYWAY = 7;
  static final int COMES_AGAIN = 8;
  static final int PASS = 9;
  static final int HOLD_OUT = 10;
  static final int TEXT_CONSENT = 11;
  static final int RETURNS_TO_CART = 12;
  static final int RETURN_DELAY = 13;
  static final int ARRIVAL_HOUR = 14;
  static final int FIELD = 15;
  static final int EVENT = 16;
  static final int OFFER = 17;
  static final int ORDER_VALUE = 18;
  static final int JOURNEY = 19;
  static final int SOFT_BOUNCE = 20;
  static final int OPEN = 21;
  static final int OPEN_DELAY = 22;
  static final int PRELOAD_DELAY = 23;
  static final int CLICK = 24;
  static final int CLICK_DELAY = 25;
  static final int LINK = 26;
  static final int UNSUBSCRIBE = 27;
  static final int UNSUBSCRIBE_DELAY = 28;
  static final int BUY = 29;
  static final int BUY_DELAY = 30;
  static final int COMPLAINT = 31;
  static final int LOT = 32;
  static final int STILL_OPENS = 33;

  private Purposes() {}
}
