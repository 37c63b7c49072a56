package org.opentrellis.core.journey;

/**
 * The name of a field in a person's record.
 *
 * @param value the text; not blank, at most 80 characters
 */
public record FieldName(String value) implements Name {
  public FieldName {
    value = Text.named("a field name", value, 80);
  }

  @Override
  public String toString() {
    return value;
  }
}
