package org.opentrellis.core.sentence;

/**
 * Who is inside a journey.
 *
 * @param people how many
 * @param onGoneSteps how many of them stand at a step that the journey as it is saved has no more
 * @param changed whether it has been saved otherwise since it was opened
 */
public record Inside(long people, long onGoneSteps, boolean changed) {
  public static final Inside NOBODY = new Inside(0, 0, false);

  /** Such as "The 12 people". */
  String who() {
    return people == 1 ? "The 1 person" : "The %,d people".formatted(people);
  }

  /** A verb's ending for them. */
  String ending(String one, String several) {
    return people == 1 ? one : several;
  }
}
