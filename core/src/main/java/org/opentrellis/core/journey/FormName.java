package org.opentrellis.core.journey;

/**
 * The name of a sign-up form.
 *
 * @param value the text; not blank, at most 80 characters
 */
public record FormName(String value) implements Name {
  public FormName {
    value = Text.named("a form name", value, 80);
  }

  @Override
  public String toString() {
    return value;
  }
}
