/** The mail server that ships with the application, and what comes to its mailboxes. */
@NullMarked
package org.opentrellis.app.standins;

import org.jspecify.annotations.NullMarked;
