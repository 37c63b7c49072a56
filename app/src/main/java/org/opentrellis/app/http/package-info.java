/** What all features share at the edge: problems as JSON, limits, the OpenAPI document. */
@NullMarked
package org.opentrellis.app.http;

import org.jspecify.annotations.NullMarked;
