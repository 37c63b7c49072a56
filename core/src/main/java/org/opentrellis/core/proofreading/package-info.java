/** What is wrong with a message, or could be better: a small class for each rule. */
@NullMarked
package org.opentrellis.core.proofreading;

import org.jspecify.annotations.NullMarked;
