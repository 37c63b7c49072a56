package org.opentrellis.app.people;

import org.jspecify.annotations.Nullable;

/** A registered name; the last two are a product's. */
record NameRow(
    long id, NameKind kind, String name, @Nullable Long categoryId, @Nullable Long priceCents) {}
