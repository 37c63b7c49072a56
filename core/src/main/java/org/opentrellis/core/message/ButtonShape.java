package org.opentrellis.core.message;

/** How the corners of buttons are. */
public enum ButtonShape {
  SQUARE("square", 0),
  SOFT("soft", 6),
  ROUND("round", 24);

  private final String words;
  private final int radius;

  ButtonShape(String words, int radius) {
    this.words = words;
    this.radius = radius;
  }

  public String words() {
    return words;
  }

  /** In pixels. */
  public int radius() {
    return radius;
  }
}
