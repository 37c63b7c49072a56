package org.opentrellis.core.intake;

/**
 * Texts in a table that a spreadsheet would take for formulas, which may do harm: an apostrophe
 * before them keeps them texts, and is taken away again when the table is read.
 */
public final class Formulas {
  private static final String BEGINNINGS = "=+-@\t\r";

  private Formulas() {}

  private static boolean begins(String text) {
    return !text.isEmpty() && BEGINNINGS.indexOf(text.charAt(0)) >= 0;
  }

  public static String guarded(String text) {
    return begins(text) ? "'" + text : text;
  }

  public static String unguarded(String text) {
    return text.startsWith("'") && begins(text.substring(1)) ? text.substring(1) : text;
  }
}
