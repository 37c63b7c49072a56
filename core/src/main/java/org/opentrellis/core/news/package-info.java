/**
 * News that goes out by itself: what a series of issues says, when the next is due, and what is in
 * it.
 */
@NullMarked
package org.opentrellis.core.news;

import org.jspecify.annotations.NullMarked;
