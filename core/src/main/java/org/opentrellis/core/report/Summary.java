package org.opentrellis.core.report;

import java.util.List;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.measure.RunSummary;
import org.opentrellis.core.sentence.Phrase;
import org.opentrellis.core.sentence.Sentences;

/** One journey of a dry run in a few sentences. */
public final class Summary {
  private Summary() {}

  /**
   * @param journey its number in the run
   */
  public static List<String> of(Tallies run, int journey) {
    Journey of = run.journeys().get(journey).program().journey();
    Sentences sentences = new Sentences(of, run.world().catalogue());
    return RunSummary.of(
        RunMeasures.of(run, journey),
        of.secondaryGoals().stream().map(sentences::secondaryGoal).map(Phrase::text).toList());
  }
}
