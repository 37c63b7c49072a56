package org.opentrellis.core.journey;

/**
 * The identity of a message in the library.
 *
 * @param value the text; not blank, at most 40 characters
 */
public record MessageId(String value) implements Name {
  public MessageId {
    value = Text.named("a message id", value, 40);
  }

  @Override
  public String toString() {
    return value;
  }
}
