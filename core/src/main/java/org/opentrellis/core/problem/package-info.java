/** What a user got wrong: a code, where it stands and a sentence. Depends on nothing. */
@NullMarked
package org.opentrellis.core.problem;

import org.jspecify.annotations.NullMarked;
