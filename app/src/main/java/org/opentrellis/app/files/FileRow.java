package org.opentrellis.app.files;

import java.time.OffsetDateTime;
import org.jspecify.annotations.Nullable;

/** A file without what is in it. */
record FileRow(
    long id,
    String name,
    String type,
    long bytes,
    @Nullable Integer width,
    @Nullable Integer height,
    String fingerprint,
    int version,
    OffsetDateTime savedAt) {}
