/** The names that people, journeys and messages use, each once. */
@NullMarked
package org.opentrellis.app.names;

import org.jspecify.annotations.NullMarked;
