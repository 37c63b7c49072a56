package org.opentrellis.core.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import org.opentrellis.core.measure.EmailMeasures;
import org.opentrellis.core.measure.Share;
import org.opentrellis.core.measure.StepMeasures;

/**
 * Each of at least {@value #LEAST_EMAILS} emails one after another is opened by fewer, and by at
 * least {@value #LEAST_POINTS} in all; the last drop is judged by itself. Further tries go to those
 * who did not open the first and are left out.
 */
final class OpensFade implements StandOutRule {
  private static final int LEAST_EMAILS = 3;
  private static final double LEAST_POINTS = 0.02;

  @Override
  public List<StandOut> find(ComparedJourney side, int place) {
    Set<String> tries = furtherTries(side);
    List<StepMeasures> best = List.of();
    List<StepMeasures> run = new ArrayList<>();
    for (StepMeasures email : side.messages()) {
      if (opened(email).value() == null || tries.contains(email.id())) {
        continue;
      }
      if (!run.isEmpty() && value(email) >= value(run.get(run.size() - 1))) {
        best = run.size() > best.size() ? List.copyOf(run) : best;
        run.clear();
      }
      run.add(email);
    }
    best = run.size() > best.size() ? List.copyOf(run) : best;
    if (best.size() < LEAST_EMAILS
        || value(best.get(0)) - value(best.get(best.size() - 1)) < LEAST_POINTS) {
      return List.of();
    }
    return List.of(told(side, place, best));
  }

  private static Set<String> furtherTries(ComparedJourney side) {
    return side.measures().chains().stream()
        .flatMap(chain -> chain.steps().stream().skip(1))
        .collect(Collectors.toSet());
  }

  private static StandOut told(ComparedJourney side, int place, List<StepMeasures> fading) {
    double least = 1;
    double most = 0;
    for (int i = 1; i < fading.size(); i++) {
      double drop = value(fading.get(i - 1)) - value(fading.get(i));
      least = Math.min(least, drop);
      most = Math.max(most, drop);
    }
    StepMeasures last = fading.get(fading.size() - 1);
    StepMeasures before = fading.get(fading.size() - 2);
    String points = String.format(Locale.ROOT, "%.1f to %.1f points", 100 * least, 100 * most);
    return new StandOut(
        "opens-fade",
        "%s fades by %s an email over %d emails, from %s to %s opened. %s"
            .formatted(
                side.quoted(),
                points,
                fading.size(),
                Judge.percent(value(fading.get(0))),
                Judge.percent(value(last)),
                lastDrop(side, last, before)),
        place,
        last.id(),
        Compared.OPENED,
        40 + 100 * (value(fading.get(0)) - value(last)) / fading.size());
  }

  /** Partly the same people got both, which this leaves aside: it errs towards chance. */
  private static String lastDrop(ComparedJourney side, StepMeasures last, StepMeasures before) {
    Judged judged =
        Judge.all(
                List.of(
                    new Judge.Case(
                        UnjudgedDifference.unpaired(opened(last), opened(before)),
                        "",
                        "points",
                        100,
                        side.measures().people())))
            .get(0);
    if (judged == null) {
      return "";
    }
    String drop = "The drop to \u201c%s\u201d".formatted(side.nameOf(last.id()));
    String p = String.format(Locale.ROOT, "p = %.2f", judged.pValue());
    return switch (judged.kind()) {
      case DIFFERENCE -> drop + " is more than chance.";
      case COULD_BE_CHANCE -> drop + " is within chance (" + p + ").";
      case TOO_FEW ->
          judged.morePeople() == null
              ? drop + " rests on too few people."
              : drop
                  + " is within chance (%s); about %,d more people would settle it."
                      .formatted(p, judged.morePeople());
    };
  }

  private static Share opened(StepMeasures step) {
    EmailMeasures email = step.email();
    return email == null ? Share.of(0, 0) : email.opened();
  }

  private static double value(StepMeasures step) {
    Double value = opened(step).value();
    return value == null ? 0 : value;
  }
}
