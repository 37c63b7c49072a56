package org.opentrellis.app.http;

/** A name that something else of the same kind has already. */
public final class NameTaken extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final String place;

  private NameTaken(String place, String message) {
    super(message);
    this.place = place;
  }

  /**
   * For example {@code of("journey", "Welcome", "/name")}: "There is a journey “Welcome” already.
   * Choose another name."
   *
   * @param place where the name stands in the request, as a JSON Pointer
   */
  public static NameTaken of(String what, String name, String place) {
    return new NameTaken(
        place, "There is a %s \u201c%s\u201d already. Choose another name.".formatted(what, name));
  }

  String place() {
    return place;
  }
}
