package org.opentrellis.core.report;

import java.util.List;
import org.opentrellis.core.dryrun.JourneyTally;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.measure.DropOff;
import org.opentrellis.core.measure.RunCurves;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.measure.Whereabouts;
import org.opentrellis.core.sentence.Sentences;

/**
 * What a run showed of one of its journeys.
 *
 * @param summary the measures in sentences, the most important first
 * @param highlights where it is weak, the most important first
 * @param dropOff where people's way ends, and to what
 * @param whereabouts where people are by days since entry
 * @param curves what had happened by each day since entry
 * @param paths the distinct ways that people went
 */
public record JourneyReport(
    RunMeasures measures,
    List<String> summary,
    List<Highlight> highlights,
    DropOff dropOff,
    Whereabouts whereabouts,
    RunCurves curves,
    PathReport paths) {

  static JourneyReport of(Retold run, Tallies tallies, int journey) {
    JourneyTally tally = tallies.journeys().get(journey);
    RunMeasures measures = RunMeasures.of(tallies, journey);
    DropOff dropOff = DropOff.of(tally);
    Journey of = tally.program().journey();
    return new JourneyReport(
        measures,
        Summary.of(tallies, journey),
        new Highlights(measures, dropOff, of, new Sentences(of, tallies.world().catalogue()))
            .find(),
        dropOff,
        Whereabouts.of(tally),
        RunCurves.of(tally),
        PathReport.of(run, tally));
  }
}
