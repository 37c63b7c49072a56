/**
 * The journey's JSON form, read with every problem named by its place. Sole user of the JSON
 * library.
 */
@NullMarked
package org.opentrellis.core.format;

import org.jspecify.annotations.NullMarked;
