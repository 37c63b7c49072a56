/** What people lived through in journeys that run, counted and told as a dry run's is. */
@NullMarked
package org.opentrellis.core.lived;

import org.jspecify.annotations.NullMarked;
