/**
 * Tries to make the application lose what it acknowledged, refuse to start, or answer that it is at
 * fault: from outside, by its API, its process and its folder. Knows no class of it.
 */
@NullMarked
package org.opentrellis.torture;

import org.jspecify.annotations.NullMarked;
