package org.opentrellis.app.http;

/** Something that a request named is not there. */
public final class NotFound extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private NotFound(String message) {
    super(message);
  }

  /** For example {@code of("journey", 7)}: "There is no journey 7." */
  public static NotFound of(String what, Object id) {
    return new NotFound("There is no " + what + " " + id + ".");
  }
}
