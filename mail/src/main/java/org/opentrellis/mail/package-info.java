/**
 * From a manuscript to mail: parts to MJML to HTML with places to fill, filled for one person, and
 * put into MIME with its plain text. Knows no Spring and no SQL.
 */
@NullMarked
package org.opentrellis.mail;

import org.jspecify.annotations.NullMarked;
