/** The command line: journey files in, figures out, without a server. */
@NullMarked
package org.opentrellis.cli;

import org.jspecify.annotations.NullMarked;
