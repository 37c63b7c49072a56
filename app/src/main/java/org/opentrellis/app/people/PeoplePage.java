package org.opentrellis.app.people;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * @param total how many are found
 * @param everybody how many there are
 * @param mailable how many of these may be mailed
 * @param next what the next page begins after; null if this is the last one
 */
record PeoplePage(
    long total, long everybody, long mailable, List<PersonLine> items, @Nullable Long next) {}
