package org.opentrellis.app.people;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * One thing that an event of somebody's says about itself; without an attribute if it says nothing.
 */
record HeardRow(
    long id,
    long at,
    String event,
    @Nullable String attribute,
    @Nullable String words,
    @Nullable Double number,
    @Nullable LocalDate dated) {}
