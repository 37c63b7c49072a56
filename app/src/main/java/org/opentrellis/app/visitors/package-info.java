/**
 * Simulated people who come through the doors of the public: they fill in forms, confirm, read
 * their mail, follow its links and buy, over HTTP and SMTP.
 */
@NullMarked
package org.opentrellis.app.visitors;

import org.jspecify.annotations.NullMarked;
