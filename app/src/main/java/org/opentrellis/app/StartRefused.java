package org.opentrellis.app;

/** The application cannot start as it was asked to; the sentence says why and what to do. */
public final class StartRefused extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public StartRefused(String sentence) {
    super(sentence);
  }

  public StartRefused(String sentence, Throwable cause) {
    super(sentence, cause);
  }
}
