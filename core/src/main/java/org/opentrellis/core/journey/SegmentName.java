package org.opentrellis.core.journey;

/**
 * The name of a segment: the people for whom a condition holds.
 *
 * @param value the text; not blank, at most 80 characters
 */
public record SegmentName(String value) implements Name {
  public SegmentName {
    value = Text.named("a segment name", value, 80);
  }

  @Override
  public String toString() {
    return value;
  }
}
