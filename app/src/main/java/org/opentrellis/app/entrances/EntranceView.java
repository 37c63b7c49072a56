package org.opentrellis.app.entrances;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.List;
import org.opentrellis.app.http.Schemas;
import tools.jackson.databind.JsonNode;

/**
 * An entrance whole.
 *
 * @param path where it is, from the application's address on
 * @param ways the ways to it, for those who put it somewhere
 * @param on whether people can come in
 * @param sheet what it asks and what happens then, in sentences
 * @param starts the open journeys that start for whoever signs up
 * @param visits how often it was looked at in the last 30 days
 * @param signUps how many signed up in them
 * @param today by the account's clock
 * @param days those of them that had a visit, the earliest first
 */
record EntranceView(
    long id,
    String path,
    Ways ways,
    boolean on,
    int version,
    @Schema(ref = Schemas.ENTRANCE) JsonNode entrance,
    List<String> sheet,
    List<EntranceLook.Found> findings,
    List<String> starts,
    long visits,
    long signUps,
    List<EntranceDay> days,
    LocalDate today) {

  /**
   * How others show it.
   *
   * @param link its address, as the public has it
   * @param frame HTML for a site that shows it in a page
   * @param card HTML for a site on which it slides in
   */
  record Ways(String link, String frame, String card) {}

  /** How often it was looked at, and how many signed up. */
  record EntranceDay(LocalDate day, long visits, long signUps) {}
}
