package org.opentrellis.core.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Says of everything that was tried what became of it. */
final class Fates {
  private final Race race;
  private final Space space;
  private final Wanted wanted;

  Fates(Race race, Space space, Wanted wanted) {
    this.race = race;
    this.space = space;
    this.wanted = wanted;
  }

  /**
   * @param shown those that were tried again, in the order in which they are shown
   * @return those who went furthest first, the best of them first
   */
  List<BetterWays.Tried> of(List<Trial> tried, List<Trial> shown) {
    List<Trial> order =
        tried.stream()
            .sorted(
                Comparator.comparing((Trial one) -> -one.people())
                    .thenComparing(race.betterFirst()))
            .toList();
    List<Trial> frontier = frontier(order);
    Trial best = order.get(0);
    List<BetterWays.Tried> fates = new ArrayList<>();
    for (Trial trial : order) {
      int row = shown.indexOf(trial);
      fates.add(
          new BetterWays.Tried(
              space.words(trial.variation),
              trial.scores().figures(),
              fate(trial, best, row),
              frontier.contains(trial),
              row < 0 ? null : row));
    }
    return fates;
  }

  private String fate(Trial trial, Trial best, int row) {
    if (trial == race.today()) {
      return "Today's journey.";
    }
    if (row >= 0) {
      return "Tried again on other people: number %d above.".formatted(row + 1);
    }
    if (trial.dropped() != null) {
      return trial.dropped();
    }
    @Nullable String broken = race.broken(trial);
    if (broken != null) {
      return "Out: " + broken + ".";
    }
    if (trial.people() < race.today().people()) {
      return "The search was stopped before it went further.";
    }
    if (trial.scores().sameAs(race.today().scores())) {
      return "Every single person does the same as today.";
    }
    Gain ahead = trial.scores().wantedAgainst(race.today().scores(), wanted);
    if (ahead.points() <= 0) {
      return ahead.points() == 0
          ? "No better than today: the same."
          : "No better than today: %s behind.".formatted(SearchWords.size(ahead, wanted));
    }
    Gain behind = best.scores().wantedAgainst(trial.scores(), wanted);
    return behind.points() > 0
        ? "%s behind the best.".formatted(SearchWords.capitalised(SearchWords.size(behind, wanted)))
        : notShown(trial, SearchWords.size(ahead, wanted));
  }

  /** Why one is not shown than which none is better. */
  private String notShown(Trial trial, String ahead) {
    Trial simple = race.simplest(trial);
    if (simple == race.today()) {
      return "Perhaps by chance: ahead of today by %s.".formatted(ahead);
    }
    return simple == trial
        ? "As good as one that is shown, or one of more than are shown."
        : "Not clearly better than less: %s."
            .formatted(String.join("; ", space.words(simple.variation)));
  }

  /** Of those whom everybody went through: nothing else gives more for as few emails. */
  private List<Trial> frontier(List<Trial> order) {
    List<Trial> whole =
        order.stream()
            .filter(trial -> trial.people() == race.today().people())
            .filter(trial -> trial.scores().figures().emailsEach() != null)
            .toList();
    return whole.stream()
        .filter(one -> whole.stream().noneMatch(other -> dominates(other, one)))
        .toList();
  }

  private static boolean dominates(Trial one, Trial other) {
    Figures here = one.scores().figures();
    Figures there = other.scores().figures();
    Double emails = here.emailsEach();
    Double otherEmails = there.emailsEach();
    if (emails == null || otherEmails == null) {
      return false;
    }
    long goal = here.goal().count();
    long otherGoal = there.goal().count();
    return emails <= otherEmails && goal >= otherGoal && (emails < otherEmails || goal > otherGoal);
  }
}
