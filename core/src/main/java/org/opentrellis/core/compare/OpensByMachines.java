package org.opentrellis.core.compare;

import java.util.List;
import org.opentrellis.core.measure.EmailMeasures;
import org.opentrellis.core.measure.StepMeasures;

/** At least {@value #LEAST} of all opens recorded in a run are pre-loads that nobody read. */
final class OpensByMachines implements StandOutRule {
  private static final double LEAST = 0.15;

  @Override
  public List<StandOut> find(ComparedJourney side, int place) {
    long recorded = 0;
    long unread = 0;
    for (StepMeasures email : side.messages()) {
      EmailMeasures of = email.email();
      if (of != null && of.opened().count() > 0) {
        recorded += of.opened().count();
        unread += Math.max(0, of.opened().count() - of.openedByPeople().count());
      }
    }
    if (recorded == 0 || unread < LEAST * recorded) {
      return List.of();
    }
    return List.of(
        new StandOut(
            "opens-by-machines",
            "%s: %s of the opens recorded are pre-loads by mail programs, %,d of %,d; nobody read those."
                .formatted(
                    side.quoted(), Judge.percent((double) unread / recorded), unread, recorded),
            place,
            null,
            Compared.OPENED_BY_PEOPLE,
            25));
  }
}
