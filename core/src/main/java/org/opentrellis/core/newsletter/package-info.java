/**
 * Emails to many at a moment: what a newsletter says, the journey that it runs as, its sentences,
 * and which of several subjects goes to the rest.
 */
@NullMarked
package org.opentrellis.core.newsletter;

import org.jspecify.annotations.NullMarked;
