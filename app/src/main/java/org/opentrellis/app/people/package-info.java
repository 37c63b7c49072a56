/** The people of the account: who they are, and finding them. */
@NullMarked
package org.opentrellis.app.people;

import org.jspecify.annotations.NullMarked;
