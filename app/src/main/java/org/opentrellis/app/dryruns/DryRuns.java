package org.opentrellis.app.dryruns;

import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.computing.ComputingRoom;
import org.opentrellis.app.computing.Lane;
import org.opentrellis.app.http.GivenName;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.http.Paging;
import org.opentrellis.app.http.Refusal;
import org.opentrellis.app.journeys.KeptJourney;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.Effort;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.report.RunReport;
import org.opentrellis.core.sentence.RunSheet;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/** Makes dry runs and keeps them. */
@Service
public class DryRuns {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMM uuuu", Locale.ENGLISH);

  private final RunStore store;
  private final RunDesk desk;
  private final ComputingRoom room;
  private final RunMaker maker;
  private final RunOrders orders;
  private final Account account;
  private final Mondays mondays;

  DryRuns(
      RunStore store,
      RunDesk desk,
      ComputingRoom room,
      RunMaker maker,
      RunOrders orders,
      Account account,
      Mondays mondays) {
    this.store = store;
    this.desk = desk;
    this.room = room;
    this.maker = maker;
    this.orders = orders;
    this.account = account;
    this.mondays = mondays;
  }

  /** A run that has been made and is still to be kept. */
  public static final class Made {
    private final RunSetup setup;
    private final RunMade outcome;
    private final long millis;

    private Made(RunSetup setup, RunMade outcome, long millis) {
      this.setup = setup;
      this.outcome = outcome;
      this.millis = millis;
    }
  }

  /** Sends a cohort through a journey that may still be to be saved. */
  public Made make(
      Journey journey,
      Catalogue catalogue,
      Behaviour behaviour,
      CohortPlan cohort,
      long seed,
      int days) {
    KeptRun.Part unsaved = new KeptRun.Part(0, 0, journey, behaviour);
    RunSetup setup =
        new RunSetup(
            List.of(unsaved),
            catalogue,
            cohort,
            null,
            CohortSettings.of(cohort, seed, mondays.thisWeek(), days));
    Lane lane = Lane.ofRun(cohort.people());
    return ComputingRoom.await(room.begin(lane, effort -> make(setup, effort)).result());
  }

  /**
   * Keeps a run of one journey.
   *
   * @param journey what its journey was saved as
   * @return the run's id
   */
  public long keep(Made made, KeptJourney journey) {
    return store.keep(made.setup.of(KeptRun.Part.of(journey)), made.outcome, made.millis);
  }

  /**
   * Begins a run of the journeys as they are saved now.
   *
   * @throws ProblemsFound if the order is out of range
   */
  RunProgress begin(RunOrder order) {
    RunSetup setup = orders.setup(order);
    return desk.begin(
        setup.cohort().people(),
        effort -> {
          Made made = make(setup, effort);
          return new RunDesk.Outcome(store.keep(setup, made.outcome, made.millis), null);
        });
  }

  private Made make(RunSetup setup, Effort effort) {
    long begun = System.nanoTime();
    RunMade made = maker.make(setup, effort);
    return new Made(setup, made, TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - begun));
  }

  /**
   * Makes a run with the people of another, one of its journeys otherwise, and keeps it.
   *
   * @param name what it is called
   * @return its id
   */
  public long makeOther(KeptRun run, int number, KeptRun.Part other, String name) {
    List<KeptRun.Part> parts = new ArrayList<>(run.parts());
    parts.set(number, other);
    RunSetup setup = run.setup().with(parts);
    Made made =
        ComputingRoom.await(
            room.begin(Lane.ofRun(run.cohort().people()), effort -> make(setup, effort)).result());
    return store.keepAside(setup, made.outcome, made.millis, name);
  }

  /** Begins to make a kept run again, to see whether it comes to the same figures. */
  RunProgress repeat(long id) {
    KeptRun kept = simulated(id);
    return desk.begin(
        kept.cohort().people(),
        effort -> {
          RunMade made = maker.make(kept.setup(), effort);
          store.keepResults(id, made);
          return new RunDesk.Outcome(id, comparedWith(kept, made.report()));
        });
  }

  /**
   * What people really went through.
   *
   * @param part the journey as they entered it, as it is told
   * @param people how many there are
   * @param start when the first of them may have come
   * @param days that are told of, from somebody's entry on
   */
  public record Lived(
      KeptRun.Part part, Catalogue catalogue, int people, Instant start, int days) {}

  /**
   * Begins to count what people really went through, and keeps it beside the dry runs.
   *
   * @param count counts them
   * @param who says who they are, once they have been counted
   */
  public RunProgress begin(Lived lived, Supplier<RunReport> count, Supplier<String> who) {
    CohortPlan cohort = CohortPlan.of(lived.people(), lived.part().behaviour().groups());
    RunSetup setup =
        new RunSetup(
            List.of(lived.part()),
            lived.catalogue(),
            cohort,
            null,
            CohortSettings.of(cohort, 0, lived.start(), lived.days()));
    return desk.begin(
        lived.people(),
        effort -> {
          long begun = System.nanoTime();
          RunReport report = count.get();
          long millis = TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - begun);
          return new RunDesk.Outcome(store.keep(setup, report, millis, who.get()), null);
        });
  }

  /**
   * A run whose people can be sent through again.
   *
   * @throws NotFound if there is none
   * @throws Refusal if it tells what people really went through
   */
  public KeptRun simulated(long id) {
    KeptRun kept = find(id);
    if (kept.lived() != null) {
      throw new Refusal(
          HttpStatus.CONFLICT,
          "lived",
          "This is what people really went through; it cannot be made again with others.",
          null);
    }
    return kept;
  }

  private static String comparedWith(KeptRun kept, RunReport report) {
    if (kept.results() == null) {
      return "Worked out anew: what it showed before was not kept, so there is nothing to compare it with.";
    }
    if (report.journeys().equals(kept.report().journeys())) {
      return "Made again: every figure is the same.";
    }
    return kept.engine() == report.engine()
        ? "Made again: the figures are not the same, though nothing else has changed. That should not be; please tell whoever looks after the program."
        : "Made again with engine %d instead of %d: the figures are new."
            .formatted(report.engine(), kept.engine());
  }

  /**
   * The pinned runs and then the newest, a line for each of their journeys.
   *
   * @param journey only those with it; null for all
   * @param page from 0
   */
  RunPage newest(@Nullable Long journey, int page) {
    return store.newest(journey, Paging.from(page), Paging.SIZE);
  }

  /** The newest run of each of some journeys that has one, in short. */
  public Map<Long, DryRunSummary> newestOf(List<Long> journeys) {
    return journeys.isEmpty() ? Map.of() : store.newestOf(journeys);
  }

  DryRunView view(long id) {
    KeptRun run = find(id);
    return new DryRunView(
        Documents.write(run.cohort()),
        run.who(),
        IntStream.range(0, run.parts().size()).mapToObj(number -> part(run, number)).toList(),
        run.report().outgoing(),
        account.limits().of(run.report().outgoing()),
        madeAnew(run));
  }

  /** What there is to say of how its figures came about, if anything. */
  private static @Nullable String madeAnew(KeptRun run) {
    if (run.lived() != null) {
      return null;
    }
    if (run.engine() != DryRun.ENGINE) {
      return "Made by engine %d; the present one is %d, so making it again may give other figures."
          .formatted(run.engine(), DryRun.ENGINE);
    }
    return run.resultsAt() == null
        ? null
        : "These figures were worked out anew on %s, with engine %d."
            .formatted(DAY.format(run.resultsAt()), run.engine());
  }

  private static DryRunView.JourneyOfRun part(KeptRun run, int number) {
    KeptRun.Part part = run.parts().get(number);
    return new DryRunView.JourneyOfRun(
        run.summary(number),
        Documents.write(part.journey()),
        Documents.write(Strands.expand(part.journey(), run.catalogue())),
        RunSheet.of(part.journey(), run.catalogue()),
        Documents.write(part.behaviour()),
        run.report().journeys().get(number));
  }

  /**
   * A run with all that it was made with, and what it showed: where that is missing, it is worked
   * out first.
   *
   * @throws NotFound if there is none
   * @throws Refusal if its results are missing, and cannot be worked out now
   */
  public KeptRun find(long id) {
    KeptRun kept = store.find(id);
    if (kept.results() != null) {
      return kept;
    }
    ComputingRoom.await(
        room.compute(
            List.of("results", id),
            Lane.ofRun(kept.cohort().people()),
            effort -> anew(kept, effort)));
    return store.find(id);
  }

  private boolean anew(KeptRun kept, Effort effort) {
    RunReport told = maker.told(kept.setup(), store.counts(kept.id()));
    if (told != null) {
      store.retell(kept.id(), told);
    } else {
      store.keepResults(kept.id(), maker.make(kept.setup(), effort));
    }
    return true;
  }

  /**
   * Names a run, or pins it.
   *
   * @throws ProblemsFound if the name is too long
   * @throws NotFound if there is no such run
   */
  void label(long id, RunLabel label) {
    String given = label.name();
    String name = given == null || given.isBlank() ? null : GivenName.of("A run", given, "/name");
    store.label(id, name, label.pinned());
  }

  void delete(long id) {
    store.delete(id);
  }
}
