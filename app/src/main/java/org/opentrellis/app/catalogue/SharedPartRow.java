package org.opentrellis.app.catalogue;

import java.time.OffsetDateTime;

/** A strand or a segment as it is kept. */
record SharedPartRow(
    String kind, String name, String document, int version, OffsetDateTime savedAt) {
  static final String STRAND = "STRAND";
  static final String SEGMENT = "SEGMENT";
}
