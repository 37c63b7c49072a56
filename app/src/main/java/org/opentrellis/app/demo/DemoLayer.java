package org.opentrellis.app.demo;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.opentrellis.app.TrellisSettings;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.cohorts.Cohorts;
import org.opentrellis.app.compare.KeptComparisons;
import org.opentrellis.app.dryruns.DryRuns;
import org.opentrellis.app.entrances.Entrances;
import org.opentrellis.app.firststeps.FirstSteps;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.journeys.KeptJourney;
import org.opentrellis.app.letters.HouseStyles;
import org.opentrellis.app.messages.MessageLibrary;
import org.opentrellis.app.messages.Written;
import org.opentrellis.app.names.NameEdit;
import org.opentrellis.app.names.Naming;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.core.behaviour.ArrivalPlan;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.behaviour.TypicalBehaviour;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.JourneyFile;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyState;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.message.Manuscript;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

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
  private final Account account;
  private final RegisteredNames registered;
  private final Naming naming;
  private final DemoCrowd crowd;
  private final MessageLibrary messages;
  private final DemoLetters letters;
  private final HouseStyles styles;
  private final Catalogues catalogues;
  private final Journeys journeys;
  private final DryRuns dryRuns;
  private final Cohorts cohorts;
  private final KeptComparisons comparisons;
  private final Entrances entrances;
  private final DemoLife life;
  private final FirstSteps firstSteps;
  private final TransactionTemplate transaction;

  DemoLayer(
      TrellisSettings settings,
      Account account,
      RegisteredNames registered,
      Naming naming,
      DemoCrowd crowd,
      MessageLibrary messages,
      DemoLetters letters,
      HouseStyles styles,
      Catalogues catalogues,
      Journeys journeys,
      DryRuns dryRuns,
      Cohorts cohorts,
      KeptComparisons comparisons,
      Entrances entrances,
      DemoLife life,
      FirstSteps firstSteps,
      TransactionTemplate transaction) {
    this.settings = settings;
    this.account = account;
    this.registered = registered;
    this.naming = naming;
    this.crowd = crowd;
    this.messages = messages;
    this.letters = letters;
    this.styles = styles;
    this.catalogues = catalogues;
    this.journeys = journeys;
    this.dryRuns = dryRuns;
    this.cohorts = cohorts;
    this.comparisons = comparisons;
    this.entrances = entrances;
    this.life = life;
    this.firstSteps = firstSteps;
    this.transaction = transaction;
  }

  /** In one transaction: it is laid whole or not at all, and then anew at the next start. */
  @Override
  public void run(ApplicationArguments arguments) {
    if (settings.demo() && journeys.none()) {
      if (settings.demoLive()) {
        life.beginsBefore();
      }
      if (account.untouched()) {
        account.set(DemoAccount.account());
      }
      firstSteps.putAway(true);
      names();
      if (settings.demoPeople() > 0) {
        crowd.come(settings.demoPeople(), SEED);
      }
      List<JourneyFile> files = JOURNEYS.stream().map(DemoLayer::read).toList();
      List<DryRuns.Made> runs = files.stream().map(this::dryRun).toList();
      transaction.executeWithoutResult(status -> lay(files, runs));
      if (settings.demoLive()) {
        transaction.executeWithoutResult(status -> entrances.keep(DemoEntrance.planner()));
        life.goesOn(settings.demoPeople());
      }
    } else if (settings.demo() && !settings.rests()) {
      life.catchesUp();
    }
  }

  private void names() {
    List<NameEdit> missing =
        DemoNames.all().stream().filter(one -> registered.find(one.asName()).isEmpty()).toList();
    transaction.executeWithoutResult(status -> missing.forEach(naming::register));
  }

  private DryRuns.Made dryRun(JourneyFile file) {
    Behaviour behaviour = behaviourOf(file);
    CohortPlan cohort = CohortPlan.of(PEOPLE, behaviour.groups());
    return dryRuns.make(file.journey(), file.catalogue(), behaviour, cohort, SEED, HORIZON_DAYS);
  }

  private void lay(List<JourneyFile> files, List<DryRuns.Made> runs) {
    List<Long> kept = new ArrayList<>();
    letters.keepFiles();
    styles.keep(DemoStyle.style());
    Map<MessageId, Manuscript> written = letters.read();
    for (int i = 0; i < files.size(); i++) {
      kept.add(dryRuns.keep(runs.get(i), lay(files.get(i), written)));
    }
    keepCohort();
    comparisons.keep(
        "The four purposes", Stream.of(0, 2, 3, 4).map(i -> kept.get(i).toString()).toList());
  }

  /** Lays one journey. */
  private KeptJourney lay(JourneyFile file, Map<MessageId, Manuscript> written) {
    List<Message> known = messages.all();
    file.messages().stream()
        .filter(message -> known.stream().noneMatch(one -> one.id().equals(message.id())))
        .forEach(message -> lay(message, written));
    file.strands().forEach(catalogues::replace);
    file.segments().forEach(catalogues::replace);
    Journey plan = file.journey().edit().state(JourneyState.DRAFT).done();
    return journeys.find(journeys.add(plan, behaviourOf(file), null));
  }

  private void lay(Message message, Map<MessageId, Manuscript> written) {
    Manuscript manuscript = written.get(message.id());
    if (manuscript == null) {
      messages.keep(message);
    } else {
      messages.keep(new Written(message.id(), message.name(), List.of(), manuscript, null));
    }
  }

  private static Behaviour behaviourOf(JourneyFile file) {
    return file.behaviour().orElse(TypicalBehaviour.in(Documents.USUAL_ZONE));
  }

  /** The welcome's people as they sign up in spring: most on Mondays, some held out to compare. */
  private void keepCohort() {
    List<AudienceGroup> groups = behaviourOf(read("first-frames")).groups();
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
