/** A simulated cohort: drives the machine with sampled evidence and counts. */
@NullMarked
package org.opentrellis.core.dryrun;

import org.jspecify.annotations.NullMarked;
