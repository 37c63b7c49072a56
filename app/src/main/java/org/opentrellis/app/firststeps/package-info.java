/** The way of whoever is new here, from the first people to an open journey. */
@NullMarked
package org.opentrellis.app.firststeps;

import org.jspecify.annotations.NullMarked;
