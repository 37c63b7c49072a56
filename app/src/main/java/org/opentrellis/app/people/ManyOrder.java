package org.opentrellis.app.people;

import org.jspecify.annotations.Nullable;

/**
 * What is done to many people.
 *
 * @param name of the tag, list or field that it is about
 * @param value what the field is set to
 */
record ManyOrder(Whom people, ManyChange change, @Nullable String name, @Nullable String value) {}
