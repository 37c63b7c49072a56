package org.opentrellis.core.reading;

/** Thrown at the first place of a sentence that cannot be read. */
final class NotUnderstood extends RuntimeException {
  private static final long serialVersionUID = 1L;

  final int from;
  final int to;

  /**
   * The name of a message that is asked for and is not there; empty if that is not what is wrong.
   */
  final String missingMessage;

  NotUnderstood(String sentence, int from, int to) {
    this(sentence, from, to, "");
  }

  NotUnderstood(String sentence, int from, int to, String missingMessage) {
    super(sentence, null, false, false);
    this.from = from;
    this.to = to;
    this.missingMessage = missingMessage;
  }

  String sentence() {
    return java.util.Objects.requireNonNull(getMessage());
  }
}
