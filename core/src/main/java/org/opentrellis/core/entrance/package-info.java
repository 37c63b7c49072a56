/**
 * Forms by which people come in: what they are asked, what they agree to, and what happens then;
 * read aloud, and looked through for faults.
 */
@NullMarked
package org.opentrellis.core.entrance;

import org.jspecify.annotations.NullMarked;
