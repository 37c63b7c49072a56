package org.opentrellis.app.compare;

import java.util.List;
import org.opentrellis.app.dryruns.DryRunSummary;

/** How runs are called beside each other: by what tells them apart, and no more. */
final class RunNames {
  private RunNames() {}

  static List<String> of(List<DryRunSummary> all) {
    return all.stream().map(run -> name(run, all)).toList();
  }

  /** By journey; by version too where a journey stands twice, and by run where a version does. */
  private static String name(DryRunSummary run, List<DryRunSummary> all) {
    List<DryRunSummary> same =
        all.stream().filter(other -> other.journeyName().equals(run.journeyName())).toList();
    if (same.size() == 1) {
      return run.journeyName();
    }
    boolean sameVersion =
        same.stream().filter(o -> o.journeyVersion() == run.journeyVersion()).count() > 1;
    String version = run.journeyName() + " v" + run.journeyVersion();
    if (!sameVersion) {
      return version;
    }
    return version + (run.name() == null ? ", run " + run.id() : ", " + run.name());
  }
}
