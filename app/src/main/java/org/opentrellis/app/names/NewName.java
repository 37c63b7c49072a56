package org.opentrellis.app.names;

/**
 * A name that a journey uses and that is not registered.
 *
 * @param sentence what follows from that
 */
record NewName(NameKind kind, String name, String sentence) {}
