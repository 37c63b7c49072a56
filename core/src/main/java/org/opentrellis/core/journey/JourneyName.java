package org.opentrellis.core.journey;

/**
 * The name by which one journey hands people over to another.
 *
 * @param value the text; not blank, at most 80 characters
 */
public record JourneyName(String value) implements Name {
  public JourneyName {
    value = Text.named("a journey name", value, 80);
  }

  @Override
  public String toString() {
    return value;
  }
}
