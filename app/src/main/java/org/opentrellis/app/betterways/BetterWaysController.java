package org.opentrellis.app.betterways;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.opentrellis.app.http.Schemas;
import org.opentrellis.core.format.Documents;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

@RestController
@RequestMapping("/api")
class BetterWaysController {
  private final WaysFinder finder;
  private final WaysTaken taken;
  private final SearchDesk desk;

  BetterWaysController(WaysFinder finder, WaysTaken taken, SearchDesk desk) {
    this.finder = finder;
    this.taken = taken;
    this.desk = desk;
  }

  @GetMapping("/dry-runs/{id}/leeways")
  List<LeewayView> listLeeways(
      @PathVariable long id, @RequestParam(defaultValue = "0") int number) {
    return finder.proposals(id, number);
  }

  @PostMapping("/dry-runs/{id}/search-sizes")
  SizeView sizeOfSearch(
      @PathVariable long id,
      @RequestParam(defaultValue = "0") int number,
      @io.swagger.v3.oas.annotations.parameters.RequestBody(
              content = @Content(schema = @Schema(ref = Schemas.SEARCH_WISH)))
          @RequestBody
          JsonNode wish) {
    return finder.size(id, number, wish);
  }

  @PostMapping("/dry-runs/{id}/searches")
  @ResponseStatus(HttpStatus.ACCEPTED)
  SearchStand beginSearch(
      @PathVariable long id,
      @RequestParam(defaultValue = "0") int number,
      @io.swagger.v3.oas.annotations.parameters.RequestBody(
              content = @Content(schema = @Schema(ref = Schemas.SEARCH_WISH)))
          @RequestBody
          JsonNode wish) {
    return finder.begin(id, number, wish);
  }

  @GetMapping("/searches-on-their-way/{job}")
  SearchStand getSearchStand(@PathVariable long job) {
    return desk.stand(job);
  }

  /** The best so far is to do; it is tried on other people as it would be anyway. */
  @PutMapping("/searches-on-their-way/{job}/enough")
  SearchStand endSearch(@PathVariable long job) {
    return desk.enough(job);
  }

  @DeleteMapping("/searches-on-their-way/{job}")
  SearchStand cancelSearch(@PathVariable long job) {
    return desk.cancel(job);
  }

  @GetMapping("/dry-runs/{id}/better-ways")
  BetterWaysView getBetterWays(
      @PathVariable long id, @RequestParam(defaultValue = "0") int number) {
    return finder
        .last(id, number)
        .map(kept -> new BetterWaysView(Documents.write(kept.wish()), kept.found()))
        .orElse(new BetterWaysView(null, null));
  }

  /** The journey as it is saved now, with a better way taken over; nothing is saved. */
  @GetMapping("/dry-runs/{id}/better-ways/{row}/journey")
  TakenView takeBetterWay(
      @PathVariable long id, @PathVariable int row, @RequestParam(defaultValue = "0") int number) {
    return taken.taken(id, number, row);
  }

  /** Keeps a better way as a version of the journey, with a dry run of its own. */
  @PostMapping("/dry-runs/{id}/better-ways/{row}/versions")
  @ResponseStatus(HttpStatus.CREATED)
  KeptWayView keepBetterWay(
      @PathVariable long id, @PathVariable int row, @RequestParam(defaultValue = "0") int number) {
    return taken.keep(id, number, row);
  }
}
