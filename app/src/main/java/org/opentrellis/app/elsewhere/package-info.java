/** Large runs go to other machines, if some are named when the application is started. */
@NullMarked
package org.opentrellis.app.elsewhere;

import org.jspecify.annotations.NullMarked;
