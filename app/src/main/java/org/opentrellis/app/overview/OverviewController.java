package org.opentrellis.app.overview;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.dryruns.DryRunSummary;
import org.opentrellis.app.dryruns.DryRuns;
import org.opentrellis.app.http.Paging;
import org.opentrellis.app.journeys.CardList;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/journeys")
class OverviewController {
  private final CardList cards;
  private final DryRuns dryRuns;

  OverviewController(CardList cards, DryRuns dryRuns) {
    this.cards = cards;
    this.dryRuns = dryRuns;
  }

  /**
   * A page of journeys.
   *
   * @param total how many there are that fit
   * @param inAll how many there are, whether they fit or not
   * @param archived how many that are put away fit
   */
  record Overview(List<Entry> journeys, int total, int inAll, int archived) {}

  /**
   * @param run the journey's newest dry run, in short; null if there is none
   */
  record Entry(CardList.Card card, @Nullable DryRunSummary run) {}

  /** In order of their age; pages count from 0. */
  @GetMapping
  Overview listJourneys(
      @RequestParam(defaultValue = "") String find,
      @RequestParam(defaultValue = "false") boolean archived,
      @RequestParam(defaultValue = "0") int page) {
    List<CardList.Card> shown = cards.page(archived, find, Paging.from(page), Paging.SIZE);
    Map<Long, DryRunSummary> runs =
        dryRuns.newestOf(shown.stream().map(CardList.Card::id).toList());
    return new Overview(
        shown.stream().map(card -> new Entry(card, runs.get(card.id()))).toList(),
        cards.count(archived, find),
        cards.count(archived, ""),
        cards.count(true, find));
  }
}
