/** What is done with a data folder as a whole, by {@code ./trellis}: backups and the password. */
@NullMarked
package org.opentrellis.app.upkeep;

import org.jspecify.annotations.NullMarked;
