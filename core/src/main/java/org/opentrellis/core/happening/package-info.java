/** What can happen to a person, by the names that journeys and people have for good. */
@NullMarked
package org.opentrellis.core.happening;

import org.jspecify.annotations.NullMarked;
