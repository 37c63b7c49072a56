package org.opentrellis.core.journey;

/** What a journey is for. */
public enum Purpose {
  WELCOME("welcome"),
  NURTURE("nurture"),
  CART("cart"),
  DATE_BASED("date-based"),
  OTHER("other");

  private final String word;

  Purpose(String word) {
    this.word = word;
  }

  public String word() {
    return word;
  }
}
