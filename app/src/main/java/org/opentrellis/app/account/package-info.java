/** What holds for the whole account. */
@NullMarked
package org.opentrellis.app.account;

import org.jspecify.annotations.NullMarked;
