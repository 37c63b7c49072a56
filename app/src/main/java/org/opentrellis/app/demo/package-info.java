/** The demo's data, laid through the same facades that a user's data goes through. */
@NullMarked
package org.opentrellis.app.demo;

import org.jspecify.annotations.NullMarked;
