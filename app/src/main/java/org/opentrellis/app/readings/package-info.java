/** Typed sentences about a journey, read as they are typed. */
@NullMarked
package org.opentrellis.app.readings;

import org.jspecify.annotations.NullMarked;
