package org.opentrellis.app.live;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.forecast.Compared;
import org.opentrellis.core.forecast.Place;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.measure.Share;

/**
 * What was forecast of a journey's people beside what happened to them.
 *
 * @param state where it stands
 * @param done how many of its dry runs are made, while it is being worked out
 * @param runs of how many
 * @param told what was worked out last; null if nothing was yet
 * @param failure why it could not be worked out; null unless it could not
 */
record ForecastView(
    State state, int done, int runs, @Nullable ForecastTold told, @Nullable String failure) {

  /** Where it stands. */
  enum State {
    /** Nobody has come, so there is nothing to tell. */
    NOBODY,
    WORKING,
    READY,
    FAILED
  }

  /**
   * @param entered how often somebody did, on the journey as it was opened last
   * @param others how many came on earlier versions of it, and are not counted
   * @param until up to when, in epoch seconds
   * @param measures what happened to them, as of a dry run
   * @param figures in the order of the journey's steps, then of the whole, then by day
   * @param sentences what came otherwise than forecast
   */
  record ForecastTold(
      long entered,
      int others,
      long until,
      RunMeasures measures,
      List<ForecastFigure> figures,
      List<String> sentences) {}

  /**
   * @param step that it is told of; null for the whole journey
   * @param day since entry by whose end it is told; null for the whole time
   * @param low where the band begins, in [0, 1]; null if the runs do not tell
   * @param high where it ends
   * @param said the verdict in words
   */
  record ForecastFigure(
      Place.About about,
      @Nullable String step,
      @Nullable Integer day,
      Share happened,
      @Nullable Double low,
      @Nullable Double high,
      Compared.Verdict verdict,
      String said) {

    static ForecastFigure of(Compared one) {
      return new ForecastFigure(
          one.place().about(),
          one.place().step().map(step -> step.value()).orElse(null),
          one.place().day() < 0 ? null : one.place().day(),
          one.happened(),
          one.forecast().map(band -> band.low()).orElse(null),
          one.forecast().map(band -> band.high()).orElse(null),
          one.verdict(),
          one.said());
    }
  }
}
