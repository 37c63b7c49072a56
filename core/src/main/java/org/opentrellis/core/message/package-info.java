/**
 * What a message says: its parts, the fields in it that are each person's own, its links, how it
 * looks, and its words as plain text.
 */
@NullMarked
package org.opentrellis.core.message;

import org.jspecify.annotations.NullMarked;
