/** News on a rhythm: where it comes from, and one issue after another. */
@NullMarked
package org.opentrellis.app.news;

import org.jspecify.annotations.NullMarked;
