/**
 * Waits and times of day in a person's own zone: from what the user wrote to an instant. Uses
 * java.time only.
 */
@NullMarked
package org.opentrellis.core.calendar;

import org.jspecify.annotations.NullMarked;
