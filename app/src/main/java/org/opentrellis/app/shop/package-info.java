/** A stand-in for the account's shop: products, a cart, a checkout, told as any shop would tell. */
@NullMarked
package org.opentrellis.app.shop;

import org.jspecify.annotations.NullMarked;
