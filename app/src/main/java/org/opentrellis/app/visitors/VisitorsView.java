package org.opentrellis.app.visitors;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Simulated people who come by themselves.
 *
 * @param doors by which they may come in now
 * @param crowds that have been let come, the newest first
 */
record VisitorsView(List<VisitorDoor> doors, List<VisitorCrowd> crowds) {

  /**
   * A form that is on, and the open journeys that whoever fills it in may come into.
   *
   * @param confirms whether they have to confirm
   */
  record VisitorDoor(long entrance, String name, boolean confirms, List<VisitorWay> ways) {}

  /**
   * @param byForm whether the form itself brings them in
   * @param how in words, such as "by leaving a cart"
   */
  record VisitorWay(long journey, String name, boolean byForm, String how) {}

  /**
   * Those who were let come together.
   *
   * @param people how many
   * @param came how many of them have signed up
   * @param errands how much they are still going to do
   * @param next when, in epoch seconds; null if nothing
   * @param failed how much could not be done
   * @param said why the last of it could not
   */
  record VisitorCrowd(
      long id,
      String entrance,
      int people,
      int came,
      int errands,
      @Nullable Long next,
      int failed,
      @Nullable String said) {}
}
