package org.opentrellis.core.message;

import java.util.Locale;
import java.util.regex.Pattern;
import org.opentrellis.core.problem.Refused;

/**
 * A colour of sRGB.
 *
 * @param value such as "#143D30"
 */
public record Colour(String value) {
  private static final Pattern FORM = Pattern.compile("#[0-9A-F]{6}");

  public Colour {
    value = value.strip().toUpperCase(Locale.ROOT);
    if (!FORM.matcher(value).matches()) {
      throw new Refused("a colour is written like #143D30");
    }
  }

  /**
   * How well one is read on another: the contrast ratio of WCAG 2.2, from 1 to 21. The same in both
   * directions.
   */
  public double against(Colour other) {
    double one = luminance();
    double two = other.luminance();
    return (Math.max(one, two) + 0.05) / (Math.min(one, two) + 0.05);
  }

  /** The relative luminance of WCAG 2.2, from 0 for black to 1 for white. */
  public double luminance() {
    return 0.2126 * linear(1) + 0.7152 * linear(3) + 0.0722 * linear(5);
  }

  private double linear(int at) {
    double part = Integer.parseInt(value.substring(at, at + 2), 16) / 255.0;
    return part <= 0.04045 ? part / 12.92 : Math.pow((part + 0.055) / 1.055, 2.4);
  }

  /**
   * The nearest one, lighter or darker, that is read well enough on another.
   *
   * @param contrast the least ratio
   */
  public Colour readableOn(Colour ground, double contrast) {
    int[] away = ground.luminance() > 0.18 ? new int[] {0, 0, 0} : new int[] {255, 255, 255};
    for (int step = 0; step <= 100; step++) {
      Colour mixed = mixed(away, step / 100.0);
      if (mixed.against(ground) >= contrast) {
        return mixed;
      }
    }
    return mixed(away, 1);
  }

  private Colour mixed(int[] with, double share) {
    StringBuilder text = new StringBuilder("#");
    for (int i = 0; i < 3; i++) {
      int part = Integer.parseInt(value.substring(1 + 2 * i, 3 + 2 * i), 16);
      text.append("%02X".formatted(Math.round(part + (with[i] - part) * share)));
    }
    return new Colour(text.toString());
  }

  @Override
  public String toString() {
    return value;
  }
}
