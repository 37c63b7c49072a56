package org.opentrellis.app.entrances;

import org.opentrellis.core.entrance.Entrance;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;

/**
 * An entrance as it is kept.
 *
 * @param slug in its address
 * @param on whether people can come in
 */
record EntranceRow(long id, String slug, String document, int version, boolean on) {
  Entrance entrance() {
    return Documents.readEntrance(Json.tree(document));
  }
}
