package org.opentrellis.core.compare;

import java.util.List;
import org.opentrellis.core.measure.Share;
import org.opentrellis.core.measure.ShareDifference;
import org.opentrellis.core.stats.Points;

/** What the journey added over its hold-out, where it has one, and whether that is a difference. */
final class JourneyAdds implements StandOutRule {
  @Override
  public List<StandOut> find(ComparedJourney side, int place) {
    ShareDifference added = side.measures().added();
    Share heldOut = side.measures().heldOutGoal();
    if (added == null || heldOut == null) {
      return List.of();
    }
    String figures =
        "%s added %s points over those who got nothing (%s to %s), of whom %s met the goal all the same"
            .formatted(
                side.quoted(),
                Points.signed(100 * added.points()),
                Points.signed(100 * added.low()),
                Points.signed(100 * added.high()),
                Judge.percent(heldOut.value()));
    return List.of(
        new StandOut(
            "journey-adds",
            figures
                + (added.realDifference() ? "." : "; that could be chance, so it may add nothing."),
            place,
            null,
            null,
            added.realDifference() ? 58 : 75));
  }
}
