package org.opentrellis.core.measure;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** What a dry run showed, in sentences that carry their figures. */
public final class RunSummary {
  private RunSummary() {}

  /** The most important first. */
  public static List<String> of(RunMeasures run) {
    List<String> sentences = new ArrayList<>();
    if (run.entered() == 0) {
      sentences.add("Nobody entered: the entry filter kept out all %,d.".formatted(run.people()));
      return sentences;
    }
    sentences.add(goal(run));
    sentences.add(
        ("%s went through to the end, %s left when they met the goal, %s unsubscribed inside, "
                + "%s had a dead address, %s are still inside.")
            .formatted(
                percent(run.finished()),
                percent(run.leftGoal()),
                percent(run.leftUnsubscribed()),
                percent(run.leftBounced()),
                percent(run.waiting())));
    if (run.refused() > 0) {
      sentences.add("The entry filter kept out %,d of %,d.".formatted(run.refused(), run.people()));
    }
    if (run.turnedAway() > 0) {
      sentences.add(
          "%,d times somebody came again and could not enter.".formatted(run.turnedAway()));
    }
    return sentences;
  }

  private static String goal(RunMeasures run) {
    Share goal = run.goal();
    if (goal == null) {
      return "The journey has no goal, so there is nothing to measure it by.";
    }
    String each =
        run.emailsPerGoal() == null
            ? "so far for no email"
            : String.format(Locale.ROOT, "one for every %.0f emails", run.emailsPerGoal());
    return "%s of the %,d who entered met the goal (95%% interval %s to %s), %s."
        .formatted(percent(goal), goal.of(), percent(goal.low()), percent(goal.high()), each);
  }

  private static String percent(Share share) {
    return percent(share.value());
  }

  private static String percent(@org.jspecify.annotations.Nullable Double value) {
    return value == null ? "none yet" : String.format(Locale.ROOT, "%.1f%%", value * 100);
  }
}
