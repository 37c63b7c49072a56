/** From counts to named measures with intervals, and the comparison of runs. */
@NullMarked
package org.opentrellis.core.measure;

import org.jspecify.annotations.NullMarked;
