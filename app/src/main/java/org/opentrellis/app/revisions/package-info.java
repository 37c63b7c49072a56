/**
 * How often things have changed, and pictures of them in memory that are made anew when they have.
 */
@NullMarked
package org.opentrellis.app.revisions;

import org.jspecify.annotations.NullMarked;
