package org.opentrellis.app.storage;

/** Takes up the number that the database gives a new row. */
public final class NewKey {
  private long id;

  public long id() {
    return id;
  }

  /** For MyBatis. */
  public void setId(long id) {
    this.id = id;
  }
}
