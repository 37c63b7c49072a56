/**
 * Who may come in: which addresses the application answers to, which pages may drive it, and the
 * password. Knows no feature.
 */
@NullMarked
package org.opentrellis.app.doors;

import org.jspecify.annotations.NullMarked;
