package org.opentrellis.core.journey;

/**
 * The name of a tag that people carry.
 *
 * @param value the text; not blank, at most 80 characters
 */
public record TagName(String value) implements Name {
  public TagName {
    value = Text.named("a tag name", value, 80);
  }

  @Override
  public String toString() {
    return value;
  }
}
