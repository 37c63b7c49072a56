/**
 * What lies behind a run's figures: what moves the goal, and what a changed assumption would do.
 */
@NullMarked
package org.opentrellis.app.insights;

import org.jspecify.annotations.NullMarked;
