/** Standing rules: what is done at once with whoever something happens to. */
@NullMarked
package org.opentrellis.core.rule;

import org.jspecify.annotations.NullMarked;
