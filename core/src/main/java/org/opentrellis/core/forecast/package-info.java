/** What dry runs of the people who really came say beside what happened to them. */
@NullMarked
package org.opentrellis.core.forecast;

import org.jspecify.annotations.NullMarked;
