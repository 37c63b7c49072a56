/** Messages as somebody gets them: proofs, tests, files of them, and how the house looks. */
@NullMarked
package org.opentrellis.app.letters;

import org.jspecify.annotations.NullMarked;
