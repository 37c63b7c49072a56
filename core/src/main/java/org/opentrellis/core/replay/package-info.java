/** One person going through as it really happened: evidence is given as time goes on. */
@NullMarked
package org.opentrellis.core.replay;

import org.jspecify.annotations.NullMarked;
