package org.opentrellis.core.forecast;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.opentrellis.core.journey.StepId;

/** What came otherwise than forecast, in sentences. */
public final class ForecastWords {
  private ForecastWords() {}

  /**
   * @param names what each step is called
   */
  public static List<String> of(Forecast forecast, Function<StepId, String> names) {
    List<Compared> told = forecast.toldOnce();
    List<String> said = new ArrayList<>();
    List<Compared> outside = told.stream().filter(Compared::outside).toList();
    outside.forEach(one -> said.add(sentence(one, names)));
    if (told.size() > 1) {
      said.add(
          "Of %d figures %s outside the band; by chance alone it would be about one in twenty."
              .formatted(
                  told.size(),
                  switch (outside.size()) {
                    case 0 -> "none lies";
                    case 1 -> "one lies";
                    default -> outside.size() + " lie";
                  }));
    }
    return said;
  }

  private static String sentence(Compared one, Function<StepId, String> names) {
    String figures = one.said().substring(one.said().indexOf(':'));
    boolean less = one.verdict() == Compared.Verdict.LOWER;
    String name = one.place().step().map(names).orElse("");
    return switch (one.place().about()) {
          case GOT_TO -> "%s get to %s than forecast".formatted(fewer(less), name);
          case DELIVERED -> "%s is delivered %s than forecast".formatted(name, rarer(less));
          case OPENED -> "%s is opened %s than forecast".formatted(name, rarer(less));
          case CLICKED -> "%s is clicked %s than forecast".formatted(name, rarer(less));
          case UNSUBSCRIBED_BY ->
              "%s makes %s unsubscribe than forecast"
                  .formatted(name, less ? "fewer people" : "more people");
          case GOAL -> "The goal is met %s than forecast".formatted(rarer(less));
          case BOUGHT -> "%s buy than forecast".formatted(fewer(less));
          case UNSUBSCRIBED -> "%s unsubscribe than forecast".formatted(fewer(less));
          case FINISHED -> "%s are through than forecast".formatted(fewer(less));
          case LEFT -> "%s leave than forecast".formatted(fewer(less));
        }
        + figures
        + ".";
  }

  private static String rarer(boolean less) {
    return less ? "less often" : "more often";
  }

  private static String fewer(boolean less) {
    return less ? "Fewer people" : "More people";
  }
}
