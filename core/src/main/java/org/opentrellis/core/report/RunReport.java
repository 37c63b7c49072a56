package org.opentrellis.core.report;

import java.time.ZoneOffset;
import java.util.List;
import java.util.stream.IntStream;
import org.opentrellis.core.account.Texting;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.Tallies;

/**
 * What a run showed, whole.
 *
 * @param engine the version of what drew the people; the same one gives the same figures again
 * @param people of the cohort
 * @param outgoing what goes out, from all journeys together
 * @param journeys by their numbers in the run
 */
public record RunReport(int engine, long people, Outgoing outgoing, List<JourneyReport> journeys) {

  /**
   * @param texting what stands at the end of texts, which makes them longer
   */
  public static RunReport of(DryRun run, Tallies tallies, Texting texting) {
    return of(Retold.of(run), tallies, texting);
  }

  /** The same of whatever people went through. */
  public static RunReport of(Retold run, Tallies tallies, Texting texting) {
    return new RunReport(
        DryRun.ENGINE,
        tallies.people(),
        Outgoing.of(tallies, run.start().atZone(ZoneOffset.UTC).toLocalDate(), texting),
        IntStream.range(0, tallies.journeys().size())
            .mapToObj(i -> JourneyReport.of(run, tallies, i))
            .toList());
  }
}
