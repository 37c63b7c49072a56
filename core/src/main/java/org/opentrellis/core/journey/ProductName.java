package org.opentrellis.core.journey;

/**
 * The name of a product in the shop.
 *
 * @param value the text; not blank, at most 80 characters
 */
public record ProductName(String value) implements Name {
  public ProductName {
    value = Text.named("a product name", value, 80);
  }

  @Override
  public String toString() {
    return value;
  }
}
