package org.opentrellis.app.elsewhere;

import java.nio.file.Path;
import java.util.Optional;
import org.opentrellis.app.TrellisSettings;
import org.opentrellis.core.dryrun.RunCancelled;
import org.opentrellis.core.dryrun.RunControl;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.elsewhere.ClusterTrouble;
import org.opentrellis.core.elsewhere.RunDocument;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/** The machines to which large runs go. */
@Component
public class Elsewhere {
  private final String master;
  private final int above;
  private final Driver driver;

  @Autowired
  Elsewhere(TrellisSettings settings) {
    this(settings.cluster(), settings.clusterAbove(), settings.clusterOptions());
  }

  Elsewhere(String master, int above, Path options) {
    this.master = master;
    this.above = above;
    this.driver = new Driver(options);
  }

  /** Where a run of so many people goes; empty if it is made here. */
  public Optional<String> where(int people) {
    return master.isEmpty() || people <= above ? Optional.empty() : Optional.of(master);
  }

  /** Runs of more people go there. */
  public int above() {
    return above;
  }

  /**
   * @param where as {@link #where} names it
   * @param control told how many people are through; may stop it
   * @throws ClusterTrouble if it cannot be made there
   * @throws RunCancelled if the control says so
   */
  public Tallies run(RunDocument document, String where, RunControl control) {
    return driver.run(document, where, control);
  }
}
