/**
 * Whether an account's mail is welcome: who is silent, what comes back, who complains or leaves.
 */
@NullMarked
package org.opentrellis.core.health;

import org.jspecify.annotations.NullMarked;
