/**
 * Dry runs on Apache Spark: documents go to the executors, which compile them for themselves and
 * give back what they counted.
 */
@NullMarked
package org.opentrellis.cluster;

import org.jspecify.annotations.NullMarked;
