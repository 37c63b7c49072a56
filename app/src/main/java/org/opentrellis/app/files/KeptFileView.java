package org.opentrellis.app.files;

import org.jspecify.annotations.Nullable;

/**
 * A picture or file that the account keeps.
 *
 * @param width in pixels; null for what is no picture
 * @param address where it lies; another one whenever it was replaced
 * @param at when it was kept or replaced last, in epoch seconds
 */
public record KeptFileView(
    String name,
    String type,
    long bytes,
    @Nullable Integer width,
    @Nullable Integer height,
    String address,
    int version,
    long at) {}
