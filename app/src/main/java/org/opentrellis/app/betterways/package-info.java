/** Better ways of a journey, looked for from one of its dry runs, kept with it, and taken over. */
@NullMarked
package org.opentrellis.app.betterways;

import org.jspecify.annotations.NullMarked;
