/** Whether mail is welcome, and what can be done about those to whom it is not. */
@NullMarked
package org.opentrellis.app.health;

import org.jspecify.annotations.NullMarked;
