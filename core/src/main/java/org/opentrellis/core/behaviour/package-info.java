/** How people react: parameters with their origin. Never draws a random number. */
@NullMarked
package org.opentrellis.core.behaviour;

import org.jspecify.annotations.NullMarked;
