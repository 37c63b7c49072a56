package org.opentrellis.core.problem;

/**
 * A value that the rules of the job do not allow: something that a user got wrong, never a fault of
 * the program. The message is half a sentence in small letters that says what is wrong and what
 * would be right.
 */
public final class Refused extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /** The code of what has none of its own. */
  public static final String BAD_VALUE = "bad-value";

  private final String code;

  /**
   * @param code stable name for programs
   */
  public Refused(String code, String message) {
    super(message);
    this.code = code;
  }

  /** One with the code {@value #BAD_VALUE}. */
  public Refused(String message) {
    this(BAD_VALUE, message);
  }

  public String code() {
    return code;
  }

  /** The message as a whole sentence. */
  public String sentence() {
    String words = String.valueOf(getMessage());
    return Character.toUpperCase(words.charAt(0)) + words.substring(1) + ".";
  }
}
