package org.opentrellis.core.journey;

/**
 * A step's or an arm's short stable name, unique in its journey.
 *
 * @param value the text; not blank, at most 80 characters
 */
public record StepId(String value) implements Name {
  public StepId {
    value = Text.named("an id", value, 80);
  }

  @Override
  public String toString() {
    return value;
  }
}
