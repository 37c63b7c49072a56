package org.opentrellis.core.message;

/**
 * A place in the text that is filled for each person.
 *
 * @param fallback what stands there for those of whom nothing is known; empty for nothing
 */
public record MergeField(Source source, String fallback, Format format) {
  private static final int LONGEST = 80;

  public MergeField {
    fallback = Limits.line("a fallback", fallback, LONGEST).strip();
  }

  public static MergeField of(Source source, String fallback) {
    return new MergeField(source, fallback, Format.USUAL);
  }

  /** Whether somebody could see a hole. */
  public boolean mayLeaveAHole() {
    return source.mayBeEmpty() && fallback.isEmpty();
  }

  /** In plain text: {@code {first name, or keeper}}. */
  public String typed() {
    String shape = format == Format.USUAL ? "" : " as " + format.words();
    String or = fallback.isEmpty() ? "" : ", or " + fallback;
    return "{" + source.said() + shape + or + "}";
  }
}
