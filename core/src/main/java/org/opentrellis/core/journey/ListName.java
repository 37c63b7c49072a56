package org.opentrellis.core.journey;

/**
 * The name of a list that people are on.
 *
 * @param value the text; not blank, at most 80 characters
 */
public record ListName(String value) implements Name {
  public ListName {
    value = Text.named("a list name", value, 80);
  }

  @Override
  public String toString() {
    return value;
  }
}
