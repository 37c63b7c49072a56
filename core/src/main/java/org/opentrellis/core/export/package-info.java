/** What a run showed, for other programs: event logs and calendars in open formats. */
@NullMarked
package org.opentrellis.core.export;

import org.jspecify.annotations.NullMarked;
