package org.opentrellis.app.people;

import org.jspecify.annotations.Nullable;

/**
 * Somebody is being forgotten for good: whatever else knows of them forgets it as well, in the
 * transaction in which their record goes, before it does.
 */
public record PersonForgotten(long id, String address, @Nullable String phone) {}
