/**
 * What a finished run showed, whole: measures with the words and the plans that go with them, and
 * what matters to its goal.
 */
@NullMarked
package org.opentrellis.core.report;

import org.jspecify.annotations.NullMarked;
