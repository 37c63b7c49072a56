package org.opentrellis.app.people;

import org.jspecify.annotations.Nullable;

/**
 * Something that is done to people in one go; moments are epoch seconds.
 *
 * @param says what it is, such as: Tag “market”
 * @param size how many people or lines it is about
 * @param done how many of them it has done, or taken back
 * @param place up to which number or line
 * @param changed how many people it has changed
 * @param stayed how many things stay when it is taken back, as somebody has changed them since
 */
record Act(
    long id,
    ActKind kind,
    String says,
    long at,
    ActState state,
    long size,
    long done,
    long place,
    long changed,
    long stayed,
    @Nullable ManyChange change,
    @Nullable Long nameId,
    @Nullable String given) {

  /** One that begins. */
  static Act begun(ActKind kind, String says, long at, long size) {
    return new Act(0, kind, says, at, ActState.UNDER_WAY, size, 0, 0, 0, 0, null, null, null);
  }

  /** The same after another piece. */
  Act further(long more, long upTo, long changedMore, long stayedMore) {
    return new Act(
        id,
        kind,
        says,
        at,
        state,
        size,
        done + more,
        upTo,
        changed + changedMore,
        stayed + stayedMore,
        change,
        nameId,
        given);
  }

  Act as(ActState other) {
    return new Act(
        id, kind, says, at, other, size, done, place, changed, stayed, change, nameId, given);
  }

  /** The same where it begins to be taken back. */
  Act turned() {
    return new Act(
        id, kind, says, at, ActState.GOING_BACK, size, 0, 0, changed, 0, change, nameId, given);
  }
}
