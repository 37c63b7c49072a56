package org.opentrellis.app.people;

import org.jspecify.annotations.Nullable;

/**
 * Something that is or was done to people in one go.
 *
 * @param at in epoch seconds
 * @param says what it is, such as: Tag “market”
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
        ActWords.of(act),
        failure);
  }
}
