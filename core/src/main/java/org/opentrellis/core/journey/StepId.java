package org.opentrellis.core.journey;

/**
 * A step's or an arm's short stable name, unique in its journey.
 *
 * @param value the text; not blank, at most 40 characters
 */
public record StepId(String value) implements Comparable<StepId> {
  public StepId {
    value = Text.named("an id", value, 40);
  }

  @Override
  public int compareTo(StepId other) {
    return value.compareTo(other.value);
  }

  @Override
  public String toString() {
    return value;
  }
}
