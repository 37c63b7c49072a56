/**
 * The stand-in for the account's website, in which forms stand as their snippets put them there.
 */
@NullMarked
package org.opentrellis.app.site;

import org.jspecify.annotations.NullMarked;
