package org.opentrellis.core.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.random.Draws;
import org.opentrellis.core.stats.Holm;
import org.opentrellis.core.vary.VariedRun;

/** Tries what a search found on other people, and among people who are otherwise than assumed. */
final class Rematch {
  private static final double CHANCE = 0.05;
  private static final int FEWEST_PEOPLE = 10_000;
  private static final int PEOPLE_OF_A_DOUBT = 5_000;

  private final SearchPlan search;
  private final Space space;
  private final Runner runner;
  private final SearchWatch watch;
  private final int people;
  private final Scores today;
  private final List<Doubt> doubts;
  private final Map<Doubt, Scores> todayUnder = new ConcurrentHashMap<>();

  Rematch(SearchPlan search, Space space, Runner runner, SearchWatch watch) {
    this.search = search;
    this.space = space;
    this.runner = runner;
    this.watch = watch;
    this.people = Math.max(FEWEST_PEOPLE, search.people());
    this.doubts = Doubts.about(search.plan());
    this.today = scores(search.plan(), people, 1);
  }

  /** How often one person goes through a journey for it, if all that can be shown are better. */
  static long personRuns(SearchPlan search) {
    long others = Math.max(FEWEST_PEOPLE, search.people());
    long worlds = (long) Doubts.about(search.plan()).size() * PEOPLE_OF_A_DOUBT;
    return (1 + Search.MOST_SHOWN) * (others + worlds);
  }

  /** A finalist with what came of it. */
  record Judged(Trial trial, BetterWays.Better better) {}

  int people() {
    return people;
  }

  /** Today's journey on the other people. */
  Scores today() {
    return today;
  }

  /** In how many other worlds winners are tried. */
  int doubts() {
    return doubts.size();
  }

  /** People whom the search has not seen, the n-th such cohort. */
  private Scores scores(VariedRun plan, int some, int nth) {
    long seed = Draws.bits(search.plan().settings().seed(), 0x07e5L + nth);
    return Scores.of(
        plan.with(plan.settings().withSeed(seed).withPeople(some)),
        search.wanted(),
        search.planned(),
        runner,
        watch);
  }

  /**
   * @param now today's journey on the search's people
   * @return the better first, those that may be chance behind
   */
  List<Judged> of(List<Trial> finalists, Trial now) {
    if (finalists.isEmpty()) {
      return List.of();
    }
    List<Scores> scores = runner.each(finalists, trial -> scores(trial.plan, people, 1));
    List<Gain> differences =
        scores.stream().map(one -> one.wantedAgainst(today, search.wanted())).toList();
    double[] adjusted = Holm.adjust(differences.stream().mapToDouble(Gain::pValue).toArray());
    List<Judged> judged = new ArrayList<>();
    for (int i = 0; i < scores.size(); i++) {
      judged.add(judged(finalists.get(i), now, scores.get(i), differences.get(i), adjusted[i]));
    }
    judged.sort(
        Comparator.comparing((Judged one) -> !one.better().verdict())
            .thenComparing(one -> -one.better().difference().points()));
    return judged;
  }

  private Judged judged(Trial trial, Trial now, Scores scores, Gain difference, double adjusted) {
    Gain goal = scores.goalAgainst(today);
    String broken = broken(scores, goal);
    boolean verdict = broken == null && difference.points() > 0 && adjusted < CHANCE;
    List<BetterWays.Elsewhere> elsewhere = verdict ? elsewhere(trial) : List.of();
    int won = (int) elsewhere.stream().filter(one -> one.difference().points() > 0).count();
    return new Judged(
        trial,
        new BetterWays.Better(
            space.settings(trial.variation),
            space.words(trial.variation),
            trial.scores().wantedAgainst(now.scores(), search.wanted()),
            scores.figures(),
            difference,
            SearchWords.withInterval(difference, search.wanted()),
            goal,
            adjusted,
            verdict,
            elsewhere,
            won,
            new VerdictWords(search.wanted(), people).of(difference, verdict, broken, elsewhere)));
  }

  /** What it does not keep to among the other people; null if it keeps to all. */
  private @Nullable String broken(Scores scores, Gain goal) {
    boolean loses =
        search.wanted().what() == Wanted.What.FEWER_EMAILS
            && goal.low() < -search.wanted().mayLose();
    return search
        .limits()
        .brokenBy(scores.figures())
        .orElse(loses ? VerdictWords.lostGoal(goal, search.wanted()) : null);
  }

  /** A winner among other people than those assumed, each time the same ones as today's journey. */
  private List<BetterWays.Elsewhere> elsewhere(Trial winner) {
    return runner.each(
        doubts,
        doubt ->
            new BetterWays.Elsewhere(
                doubt.words(),
                scores(doubt.change().apply(winner.plan), PEOPLE_OF_A_DOUBT, 2)
                    .wantedAgainst(
                        todayUnder.computeIfAbsent(doubt, this::today), search.wanted())));
  }

  private Scores today(Doubt doubt) {
    return scores(doubt.change().apply(search.plan()), PEOPLE_OF_A_DOUBT, 2);
  }
}
