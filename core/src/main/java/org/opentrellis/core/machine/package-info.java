/**
 * The journey machine: compiles a journey and says what each step does to one person. The only such
 * place.
 */
@NullMarked
package org.opentrellis.core.machine;

import org.jspecify.annotations.NullMarked;
