package org.opentrellis.core.journey;

/** Something that the shop sells. */
public record Product(ProductName name, CategoryName category) {}
