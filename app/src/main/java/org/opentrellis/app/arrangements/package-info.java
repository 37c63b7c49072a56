/** Moving, copying and taking out steps of journeys. */
@NullMarked
package org.opentrellis.app.arrangements;

import org.jspecify.annotations.NullMarked;
