package org.opentrellis.app.entrances;

import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What somebody filled in, looked through.
 *
 * @param fields as they typed them, by the fields' names
 */
record Filled(
    String address,
    @Nullable String firstName,
    @Nullable String lastName,
    @Nullable String phone,
    boolean texts,
    Map<String, String> fields) {}
