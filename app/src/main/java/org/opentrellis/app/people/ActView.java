package org.opentrellis.app.people;

import org.jspecify.annotations.Nullable;

/**
 * Something that is or was done to people in one go.
 *
 * @param at in epoch seconds
 * @param says what it is, such as: Tag “market”
 * @param refused how many rows of a table were refused
 * @param sentence how far it is, or what came of it
 * @param failure why it does not go on, if it does not
 */
public record ActView(
    long id,
    ActKind kind,
    String says,
    long at,
    ActState state,
    long size,
    long done,
    long refused,
    String sentence,
    @Nullable String failure) {

  static ActView of(Act act, @Nullable String failure) {
    return new ActView(
        act.id(),
        act.kind(),
        act.says(),
        act.at(),
        act.state(),
        act.size(),
        act.done(),
        act.refused(),
        ActWords.of(act),
        failure);
  }
}
