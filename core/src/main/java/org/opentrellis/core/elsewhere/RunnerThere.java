package org.opentrellis.core.elsewhere;

import org.opentrellis.core.dryrun.PeopleScores;
import org.opentrellis.core.dryrun.RunControl;
import org.opentrellis.core.search.Runner;
import org.opentrellis.core.vary.VariedRun;

/** Has the people of a search sent through on other machines. */
public record RunnerThere(Cluster cluster) implements Runner {
  @Override
  public PeopleScores scores(VariedRun plan, RunControl control) {
    return cluster.scores(RunDocument.of(plan), control);
  }

  @Override
  public int atOnce() {
    return cluster.atOnce();
  }
}
