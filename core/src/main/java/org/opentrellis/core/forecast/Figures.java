package org.opentrellis.core.forecast;

import java.util.LinkedHashMap;
import java.util.Map;
import org.opentrellis.core.dryrun.EmailTally;
import org.opentrellis.core.dryrun.JourneyTally;
import org.opentrellis.core.dryrun.StepTally;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.stats.Proportion;

/** The figures of a journey that are held against each other, each with its place. */
final class Figures {
  private final Map<Place, Proportion> all = new LinkedHashMap<>();
  private final JourneyTally tally;

  private Figures(JourneyTally tally) {
    this.tally = tally;
  }

  /**
   * @param days by how many days since entry the goal is told, too
   * @return in the order of the journey's steps, then of the whole, then by day
   */
  static Map<Place, Proportion> of(JourneyTally tally, int days) {
    Figures figures = new Figures(tally);
    figures.steps();
    figures.whole();
    figures.byDay(days);
    return figures.all;
  }

  private void steps() {
    Program program = tally.program();
    int sends = 0;
    for (int n = 0; n < program.steps().size(); n++) {
      Step step = program.steps().get(n);
      StepTally steps = tally.steps().get(n);
      put(Place.of(Place.About.GOT_TO, step.id()), steps.entered(), tally.entered());
      if (step instanceof Step.Send) {
        send(step.id(), tally.sends().get(sends), program.tracksOpens(sends));
        sends++;
      }
    }
  }

  private void send(StepId step, EmailTally email, boolean tracked) {
    put(Place.of(Place.About.DELIVERED, step), email.delivered(), email.sent());
    if (tracked) {
      put(Place.of(Place.About.OPENED, step), email.opened(), email.delivered());
    }
    put(Place.of(Place.About.CLICKED, step), email.clicked(), email.delivered());
    put(Place.of(Place.About.UNSUBSCRIBED_BY, step), email.unsubscribed(), email.delivered());
  }

  private void whole() {
    if (tally.program().goal().isPresent()) {
      put(Place.of(Place.About.GOAL), tally.goalMet(), tally.entered());
    }
    put(Place.of(Place.About.BOUGHT), tally.money().buyers(), tally.entered());
    put(Place.of(Place.About.UNSUBSCRIBED), tally.unsubscribed(), tally.entered());
    put(Place.of(Place.About.FINISHED), tally.finished(), tally.entered());
    put(Place.of(Place.About.LEFT), tally.left(), tally.entered());
  }

  private void byDay(int days) {
    if (tally.program().goal().isEmpty()) {
      return;
    }
    long[] goals = tally.days().goals();
    long by = 0;
    for (int day = 0; day < Math.min(days, goals.length); day++) {
      by += goals[day];
      put(Place.byDay(day), by, tally.entered());
    }
  }

  private void put(Place place, long count, long of) {
    all.put(place, new Proportion(count, of));
  }
}
