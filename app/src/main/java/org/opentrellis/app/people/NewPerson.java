package org.opentrellis.app.people;

import org.jspecify.annotations.Nullable;

/**
 * Somebody whom a user adds by hand.
 *
 * @param zone such as "Europe/Berlin"
 * @param agreed how it is known that they want mail, in the user's words; null if it is not known
 *     yet, so that nothing may be sent
 */
record NewPerson(
    String address,
    @Nullable String firstName,
    @Nullable String lastName,
    @Nullable String phone,
    String zone,
    @Nullable String agreed) {}
