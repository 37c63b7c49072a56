package org.opentrellis.cli;

import java.io.PrintWriter;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.search.SearchPlan;
import org.opentrellis.core.search.SearchWatch;
import org.opentrellis.core.search.SearchWords;

/** Tells how far a search is, and of each best that it comes to. */
final class BestSoFar implements SearchWatch {
  private final PrintWriter to;
  private final PeopleThrough through;
  private final SearchPlan search;
  private @Nullable List<String> told;

  BestSoFar(PrintWriter to, SearchPlan search) {
    this.to = to;
    this.search = search;
    this.through = new PeopleThrough(to, search.size().personRuns());
  }

  @Override
  public void reached(int people) {
    through.reached(people);
  }

  @Override
  public boolean enough() {
    return false;
  }

  @Override
  public synchronized void best(Best best) {
    if (best.ahead() == null || best.ahead().low() <= 0 || best.changes().equals(told)) {
      return;
    }
    told = best.changes();
    to.printf(
        "%,d tried; best so far: %s (%s)%n",
        best.tried(),
        String.join("; ", best.changes()),
        SearchWords.withInterval(best.ahead(), search.wish().wanted()));
  }
}
