package org.opentrellis.app.live;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.computing.ComputingRoom;
import org.opentrellis.app.computing.Lane;
import org.opentrellis.app.computing.Task;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.dryrun.AsTheyCame;
import org.opentrellis.core.dryrun.Effort;
import org.opentrellis.core.forecast.Band;
import org.opentrellis.core.forecast.Forecast;
import org.opentrellis.core.forecast.ForecastWords;
import org.opentrellis.core.lived.LivedRun;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.sentence.RunSheet;
import org.springframework.stereotype.Service;

/**
 * Holds against each other what happened to the people who came to a journey and what its
 * assumptions would have had happen to the same people. It is worked out anew, beside everything
 * else, when somebody looks and something has happened since; meanwhile the last stands.
 */
@Service
class Forecasts {
  /** By so many days since entry the goal is told at most. */
  private static final int MOST_DAYS = 60;

  private static final long HOUR = 3_600;

  private final LivedJourneys lived;
  private final HappeningMapper log;
  private final Journeys journeys;
  private final ZoneClocks clocks;
  private final ClockTurning clock;
  private final ComputingRoom room;
  private final Map<Long, Work> works = new ConcurrentHashMap<>();

  Forecasts(
      LivedJourneys lived,
      HappeningMapper log,
      Journeys journeys,
      ZoneClocks clocks,
      ClockTurning clock,
      ComputingRoom room) {
    this.lived = lived;
    this.log = log;
    this.journeys = journeys;
    this.clocks = clocks;
    this.clock = clock;
    this.room = room;
  }

  /** All that a forecast depends on; time alone changes little, so it is looked at by the hour. */
  private record Known(long happenings, long hour, int journey, int behaviour) {}

  /**
   * @param before what was told before it
   */
  private record Work(
      Known known,
      Task<ForecastView.ForecastTold> task,
      ForecastView.@Nullable ForecastTold before) {
    ForecastView.@Nullable ForecastTold told() {
      return task.state() == Task.State.DONE ? task.result().resultNow() : before;
    }
  }

  ForecastView view(long journey) {
    var kept = journeys.find(journey);
    if (!log.isEntered(journey)) {
      return new ForecastView(ForecastView.State.NOBODY, 0, Band.RUNS, null, null);
    }
    ClockView now = clock.view();
    Known known = new Known(log.last(), now.now() / HOUR, kept.version(), kept.behaviourVersion());
    Work work =
        works.compute(
            journey,
            (id, last) -> {
              boolean stands =
                  last != null
                      && (last.known().equals(known)
                          || !last.task().state().isOver()
                          || now.turning() != null && last.told() != null);
              return stands ? last : begin(id, known, last == null ? null : last.told());
            });
    return view(work);
  }

  private Work begin(long journey, Known known, ForecastView.@Nullable ForecastTold before) {
    LivedJourney of = lived.of(journey);
    Behaviour behaviour = journeys.find(journey).behaviour();
    return new Work(known, room.begin(Lane.USUAL, effort -> tell(of, behaviour, effort)), before);
  }

  private static ForecastView view(Work work) {
    ForecastView.State state =
        switch (work.task().state()) {
          case QUEUED, RUNNING -> ForecastView.State.WORKING;
          case DONE -> ForecastView.State.READY;
          case CANCELLED, FAILED -> ForecastView.State.FAILED;
        };
    return new ForecastView(
        state,
        Math.min(Band.RUNS, work.task().through()),
        Band.RUNS,
        work.told(),
        state == ForecastView.State.FAILED
            ? "The forecast could not be worked out: " + why(work.task())
            : null);
  }

  private static String why(Task<?> task) {
    String said = task.result().exceptionNow().getMessage();
    return said == null ? "something went wrong; the log says what." : said;
  }

  private ForecastView.ForecastTold tell(LivedJourney of, Behaviour behaviour, Effort effort) {
    LivedRun.Lived happened = of.run().lived(of.people());
    Forecast forecast = forecast(of, happened, behaviour, effort);
    Map<String, String> names =
        RunSheet.of(of.told(), of.catalogue()).rows().stream()
            .collect(Collectors.toMap(RunSheet.Row::id, row -> "\u201c" + row.brief() + "\u201d"));
    return new ForecastView.ForecastTold(
        forecast.entered(),
        of.run().others(),
        of.until(),
        RunMeasures.of(happened.tallies()),
        forecast.figures().stream().map(ForecastView.ForecastFigure::of).toList(),
        ForecastWords.of(forecast, step -> names.getOrDefault(step.value(), step.value())));
  }

  Forecast forecast(LivedJourney of, LivedRun.Lived happened, Behaviour behaviour, Effort effort) {
    AsTheyCame people =
        new AsTheyCame(
            of.plan(),
            of.catalogue(),
            behaviour,
            happened.arrivals(),
            clocks.around(of.until()),
            of.start(),
            of.days(),
            of.until());
    int days = Math.min(MOST_DAYS, of.days());
    return Forecast.of(Forecast.Runs.of(people, days, effort), happened.tallies());
  }
}
