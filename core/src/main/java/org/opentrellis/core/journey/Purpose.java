package org.opentrellis.core.journey;

/** What a journey is for. */
public enum Purpose {
  WELCOME("welcome"),
  NURTURE("nurture"),
  CART("cart"),
  DATE_BASED("date-based"),
  NEWSLETTER("newsletter"),
  OTHER("other");

  private final String word;

  Purpose(String word) {
    this.word = word;
  }

  public String word() {
    return word;
  }

  /**
   * A journey that got its first trigger is for what usually begins so, as long as nobody has said
   * what it is for.
   */
  public static Journey following(Journey before, Journey after) {
    boolean begins = before.triggers().isEmpty() && !after.triggers().isEmpty();
    return begins && before.purpose() == OTHER && after.purpose() == OTHER
        ? after.edit().purpose(begunBy(after.triggers().get(0))).done()
        : after;
  }

  private static Purpose begunBy(Trigger trigger) {
    return switch (trigger) {
      case Trigger.JoinsList joins -> WELCOME;
      case Trigger.SubmitsForm submits -> WELCOME;
      case Trigger.GetsTag gets -> NURTURE;
      case Trigger.EntersSegment enters -> NURTURE;
      case Trigger.OpensMessage opens -> NURTURE;
      case Trigger.ClicksMessage clicks -> NURTURE;
      case Trigger.LeavesCart leaves -> CART;
      case Trigger.DateComes date -> DATE_BASED;
      case Trigger.OnDate date -> DATE_BASED;
      case Trigger.Buys buys -> OTHER;
      case Trigger.EventArrives event -> OTHER;
      case Trigger.HandedOver over -> OTHER;
      case Trigger.PutIn in -> OTHER;
    };
  }
}
