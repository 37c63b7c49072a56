/**
 * Forms by which people come in: how the workshop keeps them, and the public door at which people
 * fill them in.
 */
@NullMarked
package org.opentrellis.app.entrances;

import org.jspecify.annotations.NullMarked;
