package org.opentrellis.core.message;

/** Type that mail programs have: what is shipped with a page does not reach most of them. */
public enum Typeface {
  HUMANIST(
      "Humanist", "'Trebuchet MS', 'Lucida Grande', 'Lucida Sans Unicode', Tahoma, sans-serif"),
  PLAIN("Plain", "Helvetica, Arial, 'Liberation Sans', sans-serif"),
  WIDE("Wide", "Verdana, 'DejaVu Sans', Geneva, sans-serif"),
  BOOK("Book", "Georgia, 'Liberation Serif', 'Times New Roman', serif"),
  TYPEWRITER("Typewriter", "'Courier New', 'Liberation Mono', Courier, monospace");

  private final String words;
  private final String families;

  Typeface(String words, String families) {
    this.words = words;
    this.families = families;
  }

  public String words() {
    return words;
  }

  /** As CSS has it. */
  public String families() {
    return families;
  }
}
