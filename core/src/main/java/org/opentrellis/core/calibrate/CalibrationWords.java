package org.opentrellis.core.calibrate;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** What a history says, in sentences. */
final class CalibrationWords {
  private CalibrationWords() {}

  static List<String> sentences(Calibration fitted) {
    List<String> said = new ArrayList<>();
    said.add("%,d messages to %,d people were read.".formatted(fitted.sends(), fitted.people()));
    said.add("Half of openers open within " + measured(fitted.openMedianHours(), 1, " h") + ".");
    said.add("They open " + measured(fitted.keennessMean(), 100, "%") + " of usual emails.");
    said.add("Images are pre-loaded for " + measured(fitted.preloads(), 100, "%") + ".");
    said.add(
        fitted
            .buyAfterClick()
            .map(buys -> "After a click, " + measured(buys, 100, "%") + " buy because of it.")
            .orElse("Nobody clicked, so what follows a click is left as it was assumed."));
    fitted
        .buyMeanHours()
        .ifPresent(
            hours -> said.add("That takes them " + measured(hours, 1, " h") + " on average."));
    said.add(
        fitted
            .buysAnyway()
            .map(buys -> "Without any, " + measured(buys, 100, "%") + " buy within 30 days.")
            .orElse("Everybody clicked, so what people buy anyway is left as it was assumed."));
    if (fitted.attention().isEmpty()) {
      said.add("The hours of the week make no difference that the history can show.");
    }
    return said;
  }

  private static String measured(Estimate estimate, double factor, String unit) {
    return String.format(
        Locale.ROOT,
        "%.1f%s (%.1f to %.1f, n = %,d)",
        estimate.value() * factor,
        unit,
        estimate.low() * factor,
        estimate.high() * factor,
        estimate.count());
  }
}
