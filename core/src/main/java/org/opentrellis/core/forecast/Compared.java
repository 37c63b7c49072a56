package org.opentrellis.core.forecast;

import java.util.Locale;
import java.util.Optional;
import org.opentrellis.core.measure.Share;

/**
 * One figure as it was forecast and as it came.
 *
 * @param happened with its 95% interval
 * @param forecast empty if there is none yet
 * @param more about how many more would settle it, of those that it is a share of; 0 if it is
 *     settled, or that cannot be told
 */
public record Compared(
    Place place, Share happened, Optional<Band> forecast, Verdict verdict, long more) {

  /** What comes of it. */
  public enum Verdict {
    AS_FORECAST,
    LOWER,
    HIGHER,
    /** It lies in the band, and would if it were quite different. */
    TOO_FEW,
    /** There is nobody of whom it is a share. */
    NONE_YET
  }

  /**
   * Figures that differ by less than this part of themselves lead to the same decisions: a choice
   * of ours, no source.
   */
  private static final double MATTERS = 0.2;

  /** Ten points are told apart all the same, however large the figure is. */
  private static final double MOST_THAT_MATTERS = 0.1;

  private static final long TOO_MANY_TO_WAIT_FOR = 1_000_000;

  static Compared of(Place place, Share happened, Optional<Band> forecast) {
    if (happened.value() == null) {
      return new Compared(place, happened, forecast, Verdict.NONE_YET, 0);
    }
    if (forecast.isEmpty()) {
      return new Compared(place, happened, forecast, Verdict.TOO_FEW, 0);
    }
    double share = happened.value();
    Band band = forecast.get();
    if (!band.contains(share)) {
      Verdict outside = share < band.low() ? Verdict.LOWER : Verdict.HIGHER;
      return new Compared(place, happened, forecast, outside, 0);
    }
    double matters = Math.min(MOST_THAT_MATTERS, MATTERS * band.middle());
    if (band.reach() <= matters) {
      return new Compared(place, happened, forecast, Verdict.AS_FORECAST, 0);
    }
    double times = band.reach() / matters;
    return new Compared(
        place, happened, forecast, Verdict.TOO_FEW, rounded(happened.of() * (times * times - 1)));
  }

  /** To two figures; 0 for more than one would wait for. */
  private static long rounded(double more) {
    if (!(more < TOO_MANY_TO_WAIT_FOR)) {
      return 0;
    }
    double unit = Math.pow(10, Math.max(0, Math.floor(Math.log10(Math.max(1, more))) - 1));
    return (long) (Math.ceil(more / unit) * unit);
  }

  /** Whether it lies where it was not expected. */
  public boolean outside() {
    return verdict == Verdict.LOWER || verdict == Verdict.HIGHER;
  }

  /** "lower than forecast: 13.6% of 191, 20.1% to 34.0% were expected". */
  public String said() {
    return switch (verdict) {
      case AS_FORECAST -> "as forecast";
      case LOWER -> "lower than forecast: " + figures();
      case HIGHER -> "higher than forecast: " + figures();
      case TOO_FEW -> more == 0 ? "too few yet" : "too few yet, %,d more".formatted(more);
      case NONE_YET -> "none yet";
    };
  }

  private String figures() {
    Band band = forecast.orElseThrow();
    return "%s of %,d, %s to %s were expected"
        .formatted(
            percent((double) happened.count() / happened.of()),
            happened.of(),
            percent(band.low()),
            percent(band.high()));
  }

  private static String percent(double share) {
    return String.format(Locale.ROOT, "%.1f%%", 100 * share);
  }
}
