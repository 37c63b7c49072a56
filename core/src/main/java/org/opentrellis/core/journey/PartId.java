package org.opentrellis.core.journey;

/**
 * The identity of a part within its message. It stays when the part is edited or moved.
 *
 * @param value the text; not blank, at most 40 characters
 */
public record PartId(String value) implements Name {
  public PartId {
    value = Text.named("a part's id", value, 40);
  }

  @Override
  public String toString() {
    return value;
  }
}
