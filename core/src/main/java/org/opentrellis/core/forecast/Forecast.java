package org.opentrellis.core.forecast;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.opentrellis.core.dryrun.AsTheyCame;
import org.opentrellis.core.dryrun.Effort;
import org.opentrellis.core.dryrun.JourneyTally;
import org.opentrellis.core.dryrun.RunCancelled;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.measure.Share;
import org.opentrellis.core.stats.Proportion;

/**
 * What was forecast beside what happened.
 *
 * @param entered how often somebody did
 * @param figures in the order of the journey's steps, then of the whole, then by day
 */
public record Forecast(long entered, List<Compared> figures) {
  public Forecast {
    figures = List.copyOf(figures);
  }

  /** What each of {@value Band#RUNS} dry runs of the same people came to. */
  public static final class Runs {
    private final int days;
    private final List<Map<Place, Proportion>> each;

    private Runs(int days, List<Map<Place, Proportion>> each) {
      this.days = days;
      this.each = each;
    }

    /**
     * @param people those who really came, with the assumptions that are held against what happened
     * @param days by how many days since entry the goal is told, too
     * @throws RunCancelled if the control says so, which counts runs
     */
    public static Runs of(AsTheyCame people, int days, Effort effort) {
      return new Runs(
          days, people.often(Band.RUNS, effort, once -> Figures.of(once.journey(), days)));
    }

    private List<Proportion> at(Place place) {
      return each.stream().map(run -> run.get(place)).toList();
    }
  }

  /**
   * @param happened to the same people
   */
  public static Forecast of(Runs runs, Tallies happened) {
    JourneyTally tally = happened.journey();
    List<Compared> figures = new ArrayList<>();
    Figures.of(tally, runs.days)
        .forEach(
            (place, fact) ->
                figures.add(
                    Compared.of(
                        place,
                        Share.of(fact.count(), fact.of()),
                        Band.of(runs.at(place), fact.of()))));
    return new Forecast(tally.entered(), figures);
  }

  /** The figures of messages and of the whole, each told once: not who got where, nor by day. */
  public List<Compared> toldOnce() {
    return figures.stream()
        .filter(one -> one.place().day() < 0 && one.place().about() != Place.About.GOT_TO)
        .filter(one -> one.verdict() != Compared.Verdict.NONE_YET)
        .toList();
  }
}
