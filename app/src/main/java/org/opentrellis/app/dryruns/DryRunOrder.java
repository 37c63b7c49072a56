package org.opentrellis.app.dryruns;

/**
 * What a user asks a dry run to be.
 *
 * @param people 1 to 1,000,000
 * @param seed the same seed gives the same people
 * @param horizonDays how long each person is followed, 1 to 730
 */
record DryRunOrder(int people, long seed, int horizonDays) {}
