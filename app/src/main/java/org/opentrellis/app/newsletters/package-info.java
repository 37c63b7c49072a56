/**
 * Newsletters: written, planned, sent by the journey machine, called back, and what came of them.
 */
@NullMarked
package org.opentrellis.app.newsletters;

import org.jspecify.annotations.NullMarked;
