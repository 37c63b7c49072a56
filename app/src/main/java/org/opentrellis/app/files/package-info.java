/** The pictures and files that messages show and hand out, and where the public gets them. */
@NullMarked
package org.opentrellis.app.files;

import org.jspecify.annotations.NullMarked;
