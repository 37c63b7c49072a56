/** Runs and comparisons as files that can be read without the application. */
@NullMarked
package org.opentrellis.app.reports;

import org.jspecify.annotations.NullMarked;
