package org.opentrellis.app.betterways;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.dryruns.DryRuns;
import org.opentrellis.app.dryruns.KeptRun;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.search.BetterWays;
import org.opentrellis.core.search.Proposal;
import org.opentrellis.core.search.Proposals;
import org.opentrellis.core.search.SearchPlan;
import org.opentrellis.core.search.SearchSize;
import org.opentrellis.core.search.SearchWish;
import org.opentrellis.core.vary.VariedRun;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;

/** Looks for better ways of a journey with the people of one of its dry runs. */
@Service
class WaysFinder {
  private final DryRuns dryRuns;
  private final SearchDesk desk;
  private final BetterWaysMapper mapper;
  private final TransactionTemplate transaction;

  WaysFinder(
      DryRuns dryRuns, SearchDesk desk, BetterWaysMapper mapper, TransactionTemplate transaction) {
    this.dryRuns = dryRuns;
    this.desk = desk;
    this.mapper = mapper;
    this.transaction = transaction;
  }

  /** A search as it was kept. */
  record Kept(SearchWish wish, BetterWays found) {}

  static VariedRun plan(KeptRun run, int number) {
    KeptRun.Part part = run.part(number);
    return new VariedRun(
        part.journey(),
        run.catalogue(),
        part.behaviour(),
        run.cohort(),
        CohortSettings.of(run.cohort(), run.seed(), run.start(), run.horizonDays()));
  }

  List<LeewayView> proposals(long run, int number) {
    return Proposals.of(plan(dryRuns.simulated(run), number)).stream().map(LeewayView::of).toList();
  }

  /**
   * @throws ProblemsFound if something cannot be looked for
   */
  SizeView size(long id, int number, JsonNode given) {
    KeptRun run = dryRuns.simulated(id);
    SearchPlan search = search(run, number, given);
    SearchSize size = search.size();
    return new SizeView(
        search.wish().vary().stream()
            .map(one -> LeewayView.of(Proposal.of(one, search.plan())))
            .toList(),
        size,
        seconds(run, search, size.personRuns()));
  }

  /** By the last search, else by the run itself, if that was made here. */
  private @Nullable Double seconds(KeptRun run, SearchPlan search, long personRuns) {
    OptionalDouble lately = desk.seconds(search, personRuns);
    if (lately.isPresent()) {
      return lately.getAsDouble();
    }
    return run.millis() == 0 ? null : personRuns * run.millis() / 1000.0 / run.cohort().people();
  }

  /**
   * @throws ProblemsFound if something cannot be looked for
   */
  SearchStand begin(long id, int number, JsonNode given) {
    SearchPlan search = search(dryRuns.simulated(id), number, given);
    String wish = Json.write(Documents.write(search.wish()));
    return desk.begin(
        search,
        found ->
            transaction.executeWithoutResult(
                status -> mapper.keep(id, number, wish, Json.write(found))));
  }

  private static SearchPlan search(KeptRun run, int number, JsonNode given) {
    SearchWish wish = Documents.readSearch(given);
    try {
      SearchPlan search = new SearchPlan(plan(run, number), wish);
      search.size();
      return search;
    } catch (Refused refused) {
      throw ProblemsFound.refused("/vary", refused);
    }
  }

  /** The last search from a run, if there was one. */
  Optional<Kept> last(long run, int number) {
    dryRuns.simulated(run).part(number);
    return mapper
        .find(run, number)
        .map(
            row ->
                new Kept(
                    Documents.readSearch(Json.tree(row.wish())),
                    Json.read(row.found(), BetterWays.class)));
  }

  /**
   * One of the ways that the last search found.
   *
   * @throws NotFound if there is none so
   */
  BetterWays.Better way(long run, int number, int row) {
    List<BetterWays.Better> better =
        last(run, number).map(kept -> kept.found().better()).orElse(List.of());
    if (row < 0 || row >= better.size()) {
      throw NotFound.of("better way", row);
    }
    return better.get(row);
  }
}
