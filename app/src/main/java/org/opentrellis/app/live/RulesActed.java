package org.opentrellis.app.live;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** How often what runs as a journey has let somebody in, and when last. */
@Component
@Transactional(readOnly = true)
public class RulesActed {
  private final HappeningMapper log;

  RulesActed(HappeningMapper log) {
    this.log = log;
  }

  /**
   * @param lastAt in epoch seconds
   */
  public record Acted(long journeyId, long times, long lastAt) {}

  /** By journey; nothing for those that nobody has entered. */
  public Map<Long, Acted> of(List<Long> journeys) {
    Map<Long, Acted> acted = new TreeMap<>();
    if (!journeys.isEmpty()) {
      log.entered(journeys.toArray(Long[]::new)).forEach(one -> acted.put(one.journeyId(), one));
    }
    return acted;
  }
}
