package org.opentrellis.core.journey;

/**
 * The identity of a strand, a run of steps that several journeys include.
 *
 * @param value the text; not blank, at most 40 characters
 */
public record StrandId(String value) implements Name {
  public StrandId {
    value = Text.named("a strand id", value, 40);
  }

  @Override
  public String toString() {
    return value;
  }
}
