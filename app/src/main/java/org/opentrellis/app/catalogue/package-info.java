/** What journeys refer to, in one place: messages, strands and segments. */
@NullMarked
package org.opentrellis.app.catalogue;

import org.jspecify.annotations.NullMarked;
