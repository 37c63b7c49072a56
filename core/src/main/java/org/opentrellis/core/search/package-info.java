/**
 * Better ways: what may vary about a journey, variations of it that race on the same people, and
 * what is left of the best ones among others.
 */
@NullMarked
package org.opentrellis.core.search;

import org.jspecify.annotations.NullMarked;
