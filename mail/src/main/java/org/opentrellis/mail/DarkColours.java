package org.opentrellis.mail;

import org.opentrellis.core.message.Colour;
import org.opentrellis.core.message.HouseStyle;

/** The colours for those who read in the dark: the house's own, lightened until they are read. */
record DarkColours(
    Colour ground, Colour paper, Colour ink, Colour link, Colour button, Colour buttonInk) {
  private static final Colour GROUND = new Colour("#101411");
  private static final Colour PAPER = new Colour("#1B211D");
  private static final Colour INK = new Colour("#EEF2EC");
  private static final double LEAST = 4.5;
  private static final double LEAST_OF_SHAPES = 3;

  static DarkColours of(HouseStyle style) {
    Colour button = style.colours().button().readableOn(PAPER, LEAST_OF_SHAPES);
    return new DarkColours(
        GROUND,
        PAPER,
        INK,
        style.colours().link().readableOn(PAPER, LEAST),
        button,
        style.colours().buttonInk().readableOn(button, LEAST));
  }

  String css() {
    return """
        .ground, .ground > table { background-color: %s !important; }
        .paper, .paper > table, .paper > table > tbody > tr > td { background-color: %s !important; }
        .ink, .ink > div, .ink td, .ink p, .ink h1, .ink h2, .ink h3, .ink li { color: %s !important; }
        .ink a, .ink a.link { color: %s !important; }
        .button td, .button a, .button p { background-color: %s !important; color: %s !important; }
        """
        .formatted(ground, paper, ink, link, button, buttonInk);
  }
}
