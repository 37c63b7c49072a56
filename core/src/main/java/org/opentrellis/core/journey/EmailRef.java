package org.opentrellis.core.journey;

/** Which of the journey's emails a condition is about. */
public sealed interface EmailRef permits EmailRef.OfStep, EmailRef.AnyOfJourney, EmailRef.OfLast {

  /**
   * @param step the step that sends it
   */
  record OfStep(StepId step) implements EmailRef {}

  /** Any email that this journey has sent to the person. */
  record AnyOfJourney() implements EmailRef {}

  /**
   * Any of the last emails that this journey has sent to the person.
   *
   * @param count how many, 1 to 50
   */
  record OfLast(int count) implements EmailRef {
    public OfLast {
      Text.inRange("the number of last emails", count, 1, 50);
    }
  }
}
