/** What holds for the whole account: who it is, who it writes as, when it is quiet. */
@NullMarked
package org.opentrellis.core.account;

import org.jspecify.annotations.NullMarked;
