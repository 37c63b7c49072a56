package org.opentrellis.core.live;

import org.opentrellis.core.machine.PersonState;

/**
 * A person between two turns.
 *
 * @param edition of what was open in their last turn
 */
public record Life(int edition, PersonState standing) {}
