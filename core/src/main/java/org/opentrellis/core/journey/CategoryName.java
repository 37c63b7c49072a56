package org.opentrellis.core.journey;

/**
 * The name of a category of products.
 *
 * @param value the text; not blank, at most 80 characters
 */
public record CategoryName(String value) implements Name {
  public CategoryName {
    value = Text.named("a category name", value, 80);
  }

  @Override
  public String toString() {
    return value;
  }
}
