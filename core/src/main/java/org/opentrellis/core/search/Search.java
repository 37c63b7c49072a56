package org.opentrellis.core.search;

import java.util.List;
import org.opentrellis.core.dryrun.RunCancelled;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.vary.VariedRun;

/**
 * Looks for better ways: variations race on the same people, and the best are tried again on other
 * people, where their figures are not flattered by having been chosen.
 */
public final class Search {
  /** So many of the best are shown at most. */
  public static final int MOST_SHOWN = 5;

  private Search() {}

  /** On this machine. */
  public static BetterWays of(SearchPlan search, SearchWatch watch) {
    return of(search, Runner.HERE, watch);
  }

  /**
   * @throws Refused if something cannot vary so, or nothing varies
   * @throws RunCancelled if the watch says so
   */
  public static BetterWays of(SearchPlan search, Runner runner, SearchWatch watch) {
    Space space = search.space();
    if (space.factors().isEmpty()) {
      throw new Refused("nothing varies: choose at least one thing that may, and two values of it");
    }
    Race race = new Race(search, space, runner, watch);
    List<Trial> tried = race.run();
    boolean stopped = watch.enough();
    Rematch rematch = new Rematch(search, space, runner, watch);
    List<Rematch.Judged> judged = rematch.of(race.finalists(MOST_SHOWN), race.today());
    List<BetterWays.Better> better = judged.stream().map(Rematch.Judged::better).toList();
    return new BetterWays(
        search.size(),
        new Fates(race, space, search.wanted())
            .of(tried, judged.stream().map(Rematch.Judged::trial).toList()),
        race.impossible(),
        stopped,
        race.today().people(),
        rematch.people(),
        rematch.today().figures(),
        better,
        rematch.doubts(),
        SearchWords.outcome(
            better, tried.size() - 1, race.out(), rematch.people(), search.wanted()));
  }

  /**
   * A plan with what a variation sets, whatever it says now.
   *
   * @throws Refused if it has nothing of the kind any more
   */
  public static VariedRun set(VariedRun plan, List<Leeway> vary, List<Setting> settings) {
    Space space = Space.of(plan, vary);
    Variation variation = space.today();
    for (Setting setting : settings) {
      variation = space.with(variation, setting);
    }
    return space
        .at(variation)
        .orElseThrow(
            () -> new Refused("a step would ask about an email that was not sent above it"));
  }
}
