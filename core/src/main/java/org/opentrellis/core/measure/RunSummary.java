package org.opentrellis.core.measure;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What a dry run showed, in sentences that carry their figures. */
public final class RunSummary {
  private RunSummary() {}

  /**
   * The most important first.
   *
   * @param secondaryGoals the journey's, in words
   */
  public static List<String> of(RunMeasures run, List<String> secondaryGoals) {
    List<String> sentences = new ArrayList<>();
    if (run.entered() == 0) {
      sentences.add("Nobody entered: the entry filter kept out all %,d.".formatted(run.people()));
      return sentences;
    }
    sentences.add(goal(run));
    for (int n = 0; n < secondaryGoals.size(); n++) {
      Share met = run.secondaryGoals().get(n);
      sentences.add("%s: %s met it.".formatted(secondaryGoals.get(n), ShareWords.figure(met)));
    }
    added(run).ifPresent(sentences::add);
    sentences.add(
        ("%,d entered; %s went through to the end,%s %s left when they met the goal, %s unsubscribed "
                + "inside, %s had a dead address, %s are still inside.")
            .formatted(
                run.entered(),
                ShareWords.figure(run.through()),
                early(run),
                ShareWords.figure(run.leftGoal()),
                ShareWords.figure(run.leftUnsubscribed()),
                ShareWords.figure(run.leftBounced()),
                ShareWords.figure(run.waiting())));
    if (run.leftRule().count() + run.leftComplained().count() + run.leftErased().count() > 0) {
      sentences.add(
          "%s left by a leave rule, %s complained, %s were erased."
              .formatted(
                  ShareWords.figure(run.leftRule()),
                  ShareWords.figure(run.leftComplained()),
                  ShareWords.figure(run.leftErased())));
    }
    if (run.emailsEach() != null) {
      sentences.add(
          String.format(Locale.ROOT, "They got %.1f emails each on average.", run.emailsEach()));
    }
    if (run.refused() > 0) {
      sentences.add("The entry filter kept out %,d of %,d.".formatted(run.refused(), run.people()));
    }
    if (run.turnedAway() > 0) {
      sentences.add(
          "%,d times somebody came again and could not enter.".formatted(run.turnedAway()));
    }
    return sentences;
  }

  private static String early(RunMeasures run) {
    long early = run.finished().count() - run.through().count();
    return early == 0
        ? ""
        : " %s were finished before,".formatted(ShareWords.figure(Share.of(early, run.entered())));
  }

  private static String goal(RunMeasures run) {
    Share goal = run.goal();
    if (goal == null) {
      return "The journey has no goal, so no verdict is possible.";
    }
    String each =
        run.emailsPerGoal() == null
            ? "so far for no email"
            : String.format(Locale.ROOT, "one for every %.0f emails", run.emailsPerGoal());
    return "%s of the %,d who entered met the goal (95%% interval %s to %s), %s."
        .formatted(
            ShareWords.percent(goal),
            goal.of(),
            ShareWords.percent(goal.low()),
            ShareWords.percent(goal.high()),
            each);
  }

  /** What the journey added over those who were held out; empty if there is nothing to compare. */
  public static Optional<String> added(RunMeasures run) {
    return run.added() == null || run.heldOutGoal() == null
        ? Optional.empty()
        : Optional.of(added(run.added(), run.heldOutGoal()));
  }

  private static String added(ShareDifference added, Share heldOut) {
    String verdict = added.realDifference() ? "that is a difference" : "that could be chance";
    return "The journey added %s points (95%% interval %s to %s; %s): of the %,d held out, %s met the goal."
        .formatted(
            points(added.points()),
            points(added.low()),
            points(added.high()),
            verdict,
            heldOut.of(),
            ShareWords.percent(heldOut));
  }

  private static String points(double value) {
    return String.format(Locale.ROOT, "%.1f", value * 100);
  }
}
