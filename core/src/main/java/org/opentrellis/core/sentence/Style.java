package org.opentrellis.core.sentence;

/** How sentences are written: to be read aloud, or to be typed and read back. */
public enum Style {
  /** As short as can be understood; names stand out by themselves. */
  SPOKEN {
    @Override
    Phrase name(String name) {
      return Phrase.strong(name);
    }
  },

  /** With everything that a step says, and with every name in quotation marks. */
  TYPED {
    @Override
    Phrase name(String name) {
      return Phrase.strong(quoted(name));
    }
  };

  private static final String OPEN = "\u201c";
  private static final String CLOSE = "\u201d";

  /** A name of the user's. */
  abstract Phrase name(String name);

  /** In quotation marks; one that ends a quotation is doubled within it. */
  public static String quoted(String name) {
    return OPEN + name.replace(CLOSE, CLOSE + CLOSE) + CLOSE;
  }

  /** "1st", "2nd", "13th". */
  public static String ordinal(int number) {
    int last = number % 100 / 10 == 1 ? 0 : number % 10;
    return number
        + switch (last) {
          case 1 -> "st";
          case 2 -> "nd";
          case 3 -> "rd";
          default -> "th";
        };
  }
}
