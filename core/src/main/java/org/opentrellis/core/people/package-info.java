/** Who a person is: address, phone, fields with their types, and whether they may be mailed. */
@NullMarked
package org.opentrellis.core.people;

import org.jspecify.annotations.NullMarked;
