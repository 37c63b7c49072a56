package org.opentrellis.app.http;

/** A save that came too late: somebody else has saved since. Carries both sides. */
public final class SaveLost extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final transient Object current;
  private final transient Object yours;

  /**
   * @param sentence what happened
   * @param current what is saved now
   * @param yours what was to be saved
   */
  public SaveLost(String sentence, Object current, Object yours) {
    super(sentence);
    this.current = current;
    this.yours = yours;
  }

  Object current() {
    return current;
  }

  Object yours() {
    return yours;
  }
}
