/** The message library. */
@NullMarked
package org.opentrellis.app.messages;

import org.jspecify.annotations.NullMarked;
