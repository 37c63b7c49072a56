package org.opentrellis.core.journey;

/**
 * The name of a link in a message.
 *
 * @param value the text; not blank, at most 80 characters
 */
public record LinkName(String value) implements Name {
  public LinkName {
    value = Text.named("a link name", value, 80);
  }

  @Override
  public String toString() {
    return value;
  }
}
