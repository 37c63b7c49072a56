package org.opentrellis.core.journey;

/**
 * The name of something that happens outside and is reported by name.
 *
 * @param value the text; not blank, at most 80 characters
 */
public record EventName(String value) implements Name {
  public EventName {
    value = Text.named("an event name", value, 80);
  }

  @Override
  public String toString() {
    return value;
  }
}
