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
 * @param added how many people a table has added
 * @param refused how many rows of it were refused
 * @param stayed how many things stay when it is taken back, as somebody has changed them since
 */
public record Act(
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
    long added,
    long refused,
    @Nullable ManyChange change,
    @Nullable Long nameId,
    @Nullable String given) {

  /** One that begins. */
  public static Act begun(ActKind kind, String says, long at, long size) {
    return begun(kind, says, at, size, null, null, null);
  }

  static Act begun(
      ActKind kind,
      String says,
      long at,
      long size,
      @Nullable ManyChange change,
      @Nullable Long nameId,
      @Nullable String given) {
    return new Act(
        0, kind, says, at, ActState.UNDER_WAY, size, 0, 0, 0, 0, 0, 0, change, nameId, given);
  }

  /** The same after another piece. */
  public Act further(long more, long upTo, long changedMore, long stayedMore) {
    return with(state, done + more, upTo, changed + changedMore, stayed + stayedMore);
  }

  public Act as(ActState other) {
    return with(other, done, place, changed, stayed);
  }

  /** The same where it begins to be taken back. */
  Act turned() {
    return with(ActState.GOING_BACK, 0, 0, changed, 0);
  }

  /** The same after more rows of a table. */
  public Act brought(long addedMore, long refusedMore) {
    return new Act(
        id,
        kind,
        says,
        at,
        state,
        size,
        done,
        place,
        changed,
        stayed,
        added + addedMore,
        refused + refusedMore,
        change,
        nameId,
        given);
  }

  private Act with(ActState is, long soFar, long upTo, long haveChanged, long haveStayed) {
    return new Act(
        id,
        kind,
        says,
        at,
        is,
        size,
        soFar,
        upTo,
        haveChanged,
        haveStayed,
        added,
        refused,
        change,
        nameId,
        given);
  }
}
