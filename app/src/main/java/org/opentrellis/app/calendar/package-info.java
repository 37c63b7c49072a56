/** The days ahead: what goes out when, who gets too much, and whether the month's quota holds. */
@NullMarked
package org.opentrellis.app.calendar;

import org.jspecify.annotations.NullMarked;
