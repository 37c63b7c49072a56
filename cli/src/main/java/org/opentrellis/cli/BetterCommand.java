package org.opentrellis.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.elsewhere.Cluster;
import org.opentrellis.core.elsewhere.RunnerThere;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.JourneyFile;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.search.BetterWays;
import org.opentrellis.core.search.Leeway;
import org.opentrellis.core.search.Limits;
import org.opentrellis.core.search.Proposal;
import org.opentrellis.core.search.Proposals;
import org.opentrellis.core.search.Search;
import org.opentrellis.core.search.SearchPlan;
import org.opentrellis.core.search.SearchWish;
import org.opentrellis.core.search.Wanted;
import org.opentrellis.core.vary.VariedRun;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
    name = "better",
    description =
        "Tries variations of a journey on the same simulated people, and the best of them on others.",
    mixinStandardHelpOptions = true)
final class BetterCommand implements Callable<Integer> {

  /** How the outcome is printed. */
  enum Format {
    TEXT,
    JSON
  }

  @Spec CommandSpec spec;

  @Mixin CohortOptions who;

  @Mixin OnCluster on;

  @Parameters(paramLabel = "FILE", description = "A journey file.")
  Path file;

  @Option(names = "--list", description = "Only prints what may vary, each with its id.")
  boolean list;

  @Option(
      names = "--vary",
      paramLabel = "ID[=FROM..TO[/BY]]",
      description =
          "Something that varies, by its id, such as length:wait-1=1..5 or tries:welcome=0..2; may be repeated (default: how long people wait).")
  List<String> vary = List.of();

  @Option(
      names = "--want",
      paramLabel = "goal|orders|money|fewer-emails",
      description = "What is wanted more of (default ${DEFAULT-VALUE}).")
  String want = "goal";

  @Option(
      names = "--price",
      paramLabel = "P",
      description = "What a thousand emails cost; taken off the money (default ${DEFAULT-VALUE}).")
  double price = 0;

  @Option(
      names = "--may-lose",
      paramLabel = "POINTS",
      description =
          "By how many points the goal may fall for the sake of fewer emails (default ${DEFAULT-VALUE}).")
  double mayLose = 100 * Wanted.USUAL_LOSS;

  @Option(
      names = "--unsubscribed",
      paramLabel = "PERCENT",
      description = "At most so many of those who enter unsubscribe.")
  @Nullable Double unsubscribed;

  @Option(
      names = "--emails-a-week",
      paramLabel = "N",
      description = "Nobody gets more emails within seven days.")
  @Nullable Integer emailsAWeek;

  @Option(
      names = "--emails-a-month",
      paramLabel = "N",
      description = "No more emails go out in a month, of all the people.")
  @Nullable Long emailsAMonth;

  @Option(
      names = "--tried-by",
      paramLabel = "N",
      description =
          "How many people go through each variation that stays in the race (default ${DEFAULT-VALUE}).")
  int triedBy = SearchWish.USUAL_PEOPLE;

  @Option(
      names = "--search",
      paramLabel = "FILE",
      description = "What is looked for, as a file with vary, wanted, limits and people, instead.")
  @Nullable Path search;

  @Option(
      names = "--format",
      paramLabel = "text|json",
      description = "How the outcome is printed (default ${DEFAULT-VALUE}).")
  Format format = Format.TEXT;

  @Option(
      names = "--take",
      paramLabel = "OUT",
      description = "Writes the journey with the best of them to this file, if any is better.")
  @Nullable Path take;

  @Override
  public Integer call() throws IOException {
    Optional<CohortPlan> cohort = who.plan();
    CohortSettings settings = who.settings(cohort);
    List<JourneyFile> read = JourneyFiles.read(List.of(file));
    Behaviour people = CohortOptions.behaviours(read, cohort).get(0);
    CohortPlan entering =
        cohort.orElseGet(
            () ->
                new CohortPlan(
                    settings.people(), people.groups(), settings.arrivals(), settings.holdOut()));
    VariedRun plan =
        new VariedRun(
            read.get(0).journey(), JourneyFile.catalogueOf(read), people, entering, settings);
    PrintWriter out = spec.commandLine().getOut();
    if (list) {
      Proposals.of(plan).forEach(one -> out.printf("%s  %s%n", one.id(), one.sentence()));
      return 0;
    }
    SearchWish wish = wish(plan);
    BetterWays ways;
    try {
      ways = search(new SearchPlan(plan, wish));
    } catch (Refused refused) {
      throw badUse(refused.sentence());
    }
    if (format == Format.JSON) {
      out.println(Json.pretty(ways));
    } else {
      BetterText.print(ways, out);
    }
    take(read.get(0), plan, wish, ways);
    return 0;
  }

  private BetterWays search(SearchPlan wanted) {
    BestSoFar watch = new BestSoFar(spec.commandLine().getErr(), wanted);
    if (!on.isAsked()) {
      return Search.of(wanted, watch);
    }
    try (Cluster cluster = on.open()) {
      return Search.of(wanted, new RunnerThere(cluster), watch);
    }
  }

  private void take(JourneyFile from, VariedRun plan, SearchWish wish, BetterWays ways)
      throws IOException {
    Optional<BetterWays.Better> best =
        ways.better().stream().filter(BetterWays.Better::verdict).findFirst();
    if (take == null || best.isEmpty()) {
      return;
    }
    VariedRun taken = Search.set(plan, wish.vary(), best.get().settings());
    java.nio.file.Files.writeString(
        take,
        Documents.writeFile(from.with(taken.journey(), taken.behaviour())),
        StandardCharsets.UTF_8);
  }

  private SearchWish wish(VariedRun plan) {
    if (search != null) {
      try {
        return Documents.readSearch(Json.tree(JourneyFiles.text(search)));
      } catch (ProblemsFound found) {
        throw new TrellisCommand.BadFile(search.toString(), found);
      }
    }
    try {
      return new SearchWish(
          leeways(plan),
          new Wanted(wanted(), price, mayLose / 100),
          new Limits(
              Optional.ofNullable(unsubscribed).map(percent -> percent / 100),
              Optional.ofNullable(emailsAWeek),
              Optional.ofNullable(emailsAMonth)),
          triedBy);
    } catch (Refused refused) {
      throw badUse(refused.sentence());
    }
  }

  private Wanted.What wanted() {
    try {
      return Wanted.What.valueOf(want.toUpperCase(Locale.ROOT).replace('-', '_'));
    } catch (IllegalArgumentException unknown) {
      throw badUse("--want takes goal, orders, money or fewer-emails, not " + want + ".");
    }
  }

  private List<Leeway> leeways(VariedRun plan) {
    List<Proposal> all = Proposals.of(plan);
    if (vary.isEmpty()) {
      return all.stream().filter(Proposal::usual).map(Proposal::leeway).toList();
    }
    List<Leeway> chosen = new ArrayList<>();
    for (String one : vary) {
      String id = one.contains("=") ? one.substring(0, one.indexOf('=')) : one;
      Leeway proposed =
          all.stream()
              .filter(proposal -> proposal.id().equals(id))
              .findFirst()
              .map(Proposal::leeway)
              .orElseThrow(
                  () ->
                      badUse(
                          "nothing that may vary is called %s; --list prints what is."
                              .formatted(id)));
      chosen.add(
          one.contains("=")
              ? new Range(spec).set(proposed, one.substring(one.indexOf('=') + 1))
              : proposed);
    }
    return chosen;
  }

  private ParameterException badUse(String sentence) {
    return new ParameterException(spec.commandLine(), sentence);
  }
}
