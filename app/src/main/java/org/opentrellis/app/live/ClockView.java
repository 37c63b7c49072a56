package org.opentrellis.app.live;

import org.jspecify.annotations.Nullable;

/**
 * The account's clock.
 *
 * @param now in epoch seconds
 * @param turnedOn how many seconds it is ahead of the machine's
 * @param next when something is due next; null if nothing is
 * @param turning how far it is, if it is being turned just now
 * @param failure why the last turning ended early; null if it did not
 */
record ClockView(
    long now,
    long turnedOn,
    @Nullable Long next,
    DueWork.@Nullable Turning turning,
    @Nullable String failure) {}
