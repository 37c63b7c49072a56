package org.opentrellis.core.elsewhere;

import java.io.Serializable;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.JourneyFile;
import org.opentrellis.core.format.JourneyPacker;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.vary.VariedRun;

/**
 * A dry run as documents and numbers, so that it can be made anywhere: whoever has it compiles the
 * journeys for themselves, and gets the same people.
 *
 * @param files journey files, as they are written
 * @param cohort how many people, who they are, when they come and how many are held out, as a
 *     cohort file
 * @param start when it begins, in epoch seconds
 */
public record RunDocument(List<String> files, String cohort, long seed, long start, int horizonDays)
    implements Serializable {

  /**
   * @param behaviours by journey; the first says who the people are
   */
  public static RunDocument of(
      List<Journey> journeys,
      Catalogue catalogue,
      List<Behaviour> behaviours,
      CohortSettings settings) {
    CohortPlan cohort =
        new CohortPlan(
            settings.people(), behaviours.get(0).groups(), settings.arrivals(), settings.holdOut());
    return new RunDocument(
        IntStream.range(0, journeys.size())
            .mapToObj(n -> file(journeys.get(n), catalogue, behaviours.get(n)))
            .toList(),
        Json.write(Documents.write(cohort)),
        settings.seed(),
        settings.start().getEpochSecond(),
        settings.horizonDays());
  }

  /** A run of one journey. */
  public static RunDocument of(VariedRun run) {
    return of(List.of(run.journey()), run.catalogue(), List.of(run.whole()), run.settings());
  }

  private static String file(Journey journey, Catalogue catalogue, Behaviour behaviour) {
    return Documents.writeFile(
        JourneyPacker.pack(journey, catalogue, message -> Optional.empty(), behaviour));
  }

  /** The run, ready to be made. */
  public DryRun dryRun() {
    List<JourneyFile> read = files.stream().map(Documents::readFile).toList();
    CohortPlan plan = Documents.readCohort(Json.tree(cohort));
    return new DryRun(
        read.stream().map(JourneyFile::journey).toList(),
        JourneyFile.catalogueOf(read),
        read.stream()
            .map(file -> file.behaviour().orElseThrow().edit().groups(plan.groups()).done())
            .toList(),
        CohortSettings.of(plan, seed, Instant.ofEpochSecond(start), horizonDays));
  }
}
