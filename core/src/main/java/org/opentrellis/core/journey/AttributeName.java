package org.opentrellis.core.journey;

/**
 * The name of something that an event says about itself.
 *
 * @param value the text; not blank, at most 80 characters
 */
public record AttributeName(String value) implements Name {
  public AttributeName {
    value = Text.named("an attribute's name", value, 80);
  }

  @Override
  public String toString() {
    return value;
  }
}
