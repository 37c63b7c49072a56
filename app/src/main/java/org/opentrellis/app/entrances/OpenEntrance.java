package org.opentrellis.app.entrances;

import org.opentrellis.core.entrance.Asked;
import org.opentrellis.core.entrance.Entrance;

/**
 * An entrance that people can come in by.
 *
 * @param path of its page
 */
public record OpenEntrance(long id, String path, Entrance entrance) {
  /** What its form calls the address. */
  public static final String ADDRESS = FormReading.ADDRESS;

  static OpenEntrance of(EntranceRow row) {
    return new OpenEntrance(row.id(), "/e/" + row.slug(), row.entrance());
  }

  /** What its form calls something that it asks. */
  public static String nameOf(Asked asked) {
    return FormReading.nameOf(asked);
  }
}
