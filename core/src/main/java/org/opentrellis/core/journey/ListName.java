package org.opentrellis.core.journey;

/**
 * The name of a list that people are on.
 *
 * @param value the text; not blank, at most 80 characters
 */
public record ListName(String value) implements Comparable<ListName> {
  public ListName {
    value = Text.named("a list name", value, 80);
  }

  @Override
  public int compareTo(ListName other) {
    return value.compareTo(other.value);
  }

  @Override
  public String toString() {
    return value;
  }
}
