package org.opentrellis.core.message;

import java.util.List;
import java.util.Locale;

/**
 * How well the colours of a message are read on each other: the least ratios are those of WCAG 2.2,
 * success criteria 1.4.3 (4.5 for text) and 1.4.11 (3 for shapes).
 */
public final class Contrasts {
  private static final double OF_TEXT = 4.5;
  private static final double OF_SHAPES = 3;

  /**
   * @param ratio from 1 to 21
   */
  public record Pair(String what, double ratio, double least) {
    public boolean enough() {
      return ratio >= least;
    }

    /** "Text on paper: 15.2 to 1.", or what is wrong with it. */
    public String sentence() {
      String said = String.format(Locale.ROOT, "%s: %.1f to 1", what, Math.floor(ratio * 10) / 10);
      return enough()
          ? said + "."
          : said + String.format(Locale.ROOT, ", which is too little: %.1f is the least.", least);
    }
  }

  private Contrasts() {}

  public static List<Pair> of(Palette colours) {
    return List.of(
        new Pair("Text on paper", colours.ink().against(colours.paper()), OF_TEXT),
        new Pair("Links on paper", colours.link().against(colours.paper()), OF_TEXT),
        new Pair("Text on the ground", colours.ink().against(colours.ground()), OF_TEXT),
        new Pair("Links on the ground", colours.link().against(colours.ground()), OF_TEXT),
        new Pair("Words on buttons", colours.buttonInk().against(colours.button()), OF_TEXT),
        new Pair("Buttons on paper", colours.button().against(colours.paper()), OF_SHAPES));
  }
}
