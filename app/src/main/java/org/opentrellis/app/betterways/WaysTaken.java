package org.opentrellis.app.betterways;

import java.util.List;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.dryruns.DryRuns;
import org.opentrellis.app.dryruns.KeptRun;
import org.opentrellis.app.http.Refusal;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.journeys.KeptJourney;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.search.BetterWays;
import org.opentrellis.core.search.Search;
import org.opentrellis.core.vary.VariedRun;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/** Takes better ways over into journeys, as an edit or as a version of its own. */
@Service
class WaysTaken {
  private static final int LONGEST_NAME = 60;

  private final WaysFinder finder;
  private final DryRuns dryRuns;
  private final Journeys journeys;
  private final Catalogues catalogues;

  WaysTaken(WaysFinder finder, DryRuns dryRuns, Journeys journeys, Catalogues catalogues) {
    this.finder = finder;
    this.dryRuns = dryRuns;
    this.journeys = journeys;
    this.catalogues = catalogues;
  }

  /**
   * The journey as it is saved now, with a way taken over.
   *
   * @throws Refusal if the journey has changed so much that it cannot be
   */
  TakenView taken(long run, int number, int row) {
    KeptRun kept = dryRuns.simulated(run);
    KeptJourney journey = journeys.find(kept.part(number).journeyId());
    VariedRun with = with(kept, number, row, journey);
    return new TakenView(
        nameOf(finder.way(run, number, row)),
        Documents.write(with.journey()),
        with.behaviour().equals(journey.behaviour()) ? null : Documents.write(with.behaviour()));
  }

  /** Keeps it as a version with a name; the journey itself stays as it is. */
  KeptWayView keep(long run, int number, int row) {
    KeptRun kept = dryRuns.simulated(run);
    KeptJourney journey = journeys.find(kept.part(number).journeyId());
    VariedRun with = with(kept, number, row, journey);
    String name = nameOf(finder.way(run, number, row));
    int version = journeys.keepAside(journey.id(), with.journey(), name);
    long made =
        dryRuns.makeOther(
            kept,
            number,
            new KeptRun.Part(journey.id(), version, with.journey(), with.behaviour()),
            name);
    return new KeptWayView(version, name, made);
  }

  private VariedRun with(KeptRun kept, int number, int row, KeptJourney journey) {
    VariedRun then = WaysFinder.plan(kept, number);
    VariedRun now =
        new VariedRun(
            journey.journey(),
            catalogues.current(),
            journey.behaviour(),
            then.cohort(),
            then.settings());
    BetterWays.Better way = finder.way(kept.id(), number, row);
    WaysFinder.Kept search = finder.last(kept.id(), number).orElseThrow();
    try {
      return Search.set(now, search.wish().vary(), way.settings());
    } catch (Refused gone) {
      throw new Refusal(
          HttpStatus.CONFLICT,
          "changed-since",
          "The journey has changed since this was looked for: %s Make a new dry run, and look again."
              .formatted(gone.sentence()),
          null);
    }
  }

  /** "Better way: “Wait 3 days” instead of …", cut to what a name may be. */
  private static String nameOf(BetterWays.Better way) {
    String words = String.join("; ", List.copyOf(way.changes()));
    String name = "Better way: " + words;
    return name.length() <= LONGEST_NAME
        ? name
        : name.substring(0, name.offsetByCodePoints(0, LONGEST_NAME - 1)) + "\u2026";
  }
}
