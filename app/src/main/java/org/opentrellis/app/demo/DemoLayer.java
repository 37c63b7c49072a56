package org.opentrellis.app.demo;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Stream;
import org.opentrellis.app.TrellisSettings;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.cohorts.Cohorts;
import org.opentrellis.app.compare.KeptComparisons;
import org.opentrellis.app.dryruns.DryRuns;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.messages.MessageLibrary;
import org.opentrellis.core.behaviour.ArrivalPlan;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.behaviour.TypicalBehaviour;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.JourneyFile;
import org.opentrellis.core.journey.Message;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Lays the demo: Ambercomb, an invented beekeeping co-op. Only into an empty database. The journeys
 * are the examples of docs/examples.
 */
@Component
class DemoLayer implements ApplicationRunner {
  private static final int PEOPLE = 20_000;
  private static final long SEED = 2026;
  private static final int HORIZON_DAYS = 60;

  private static final List<String> JOURNEYS =
      List.of(
          "first-frames",
          "first-frames-one-try",
          "through-the-season",
          "left-on-the-bench",
          "membership-turns-over",
          "wake-the-quiet-ones",
          "what-goes-with-it",
          "thirty-days-of-bees");

  private final TrellisSettings settings;
  private final MessageLibrary messages;
  private final Catalogues catalogues;
  private final Journeys journeys;
  private final DryRuns dryRuns;
  private final Cohorts cohorts;
  private final KeptComparisons comparisons;

  DemoLayer(
      TrellisSettings settings,
      MessageLibrary messages,
      Catalogues catalogues,
      Journeys journeys,
      DryRuns dryRuns,
      Cohorts cohorts,
      KeptComparisons comparisons) {
    this.settings = settings;
    this.messages = messages;
    this.catalogues = catalogues;
    this.journeys = journeys;
    this.dryRuns = dryRuns;
    this.cohorts = cohorts;
    this.comparisons = comparisons;
  }

  /** In one transaction: it is laid whole or not at all, and then anew at the next start. */
  @Override
  @Transactional
  public void run(ApplicationArguments arguments) {
    if (settings.demo() && journeys.all().isEmpty()) {
      List<Long> runs = JOURNEYS.stream().map(this::lay).toList();
      keepCohort();
      comparisons.keep(
          "The four purposes", Stream.of(0, 2, 3, 4).map(i -> runs.get(i).toString()).toList());
    }
  }

  /** Lays one journey, and returns its dry run. */
  private long lay(String name) {
    JourneyFile file = read(name);
    List<Message> known = messages.all();
    file.messages().stream()
        .filter(message -> known.stream().noneMatch(one -> one.id().equals(message.id())))
        .forEach(messages::keep);
    file.strands().forEach(catalogues::replace);
    file.segments().forEach(catalogues::replace);
    long id =
        journeys.add(
            file.journey(),
            file.behaviour().orElse(TypicalBehaviour.in(Documents.USUAL_ZONE)),
            null);
    CohortPlan cohort =
        CohortPlan.of(
            PEOPLE, file.behaviour().orElse(TypicalBehaviour.in(Documents.USUAL_ZONE)).groups());
    return dryRuns.run(id, cohort, null, SEED, HORIZON_DAYS);
  }

  /** The welcome's people as they sign up in spring: most on Mondays, some held out to compare. */
  private void keepCohort() {
    List<AudienceGroup> groups =
        read("first-frames").behaviour().orElse(TypicalBehaviour.in(Documents.USUAL_ZONE)).groups();
    ArrivalPlan arrivals = new ArrivalPlan.Daily(600, List.of(1.6, 1.2, 1.1, 1.0, 0.9, 0.6, 0.6));
    cohorts.keep("Spring sign-ups", new CohortPlan(PEOPLE, groups, arrivals, 0.05));
  }

  private static JourneyFile read(String name) {
    try {
      ClassPathResource file = new ClassPathResource("examples/" + name + ".json");
      return Documents.readFile(file.getContentAsString(StandardCharsets.UTF_8));
    } catch (IOException missing) {
      throw new UncheckedIOException(missing);
    }
  }
}
