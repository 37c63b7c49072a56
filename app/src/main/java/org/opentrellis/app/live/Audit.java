package org.opentrellis.app.live;

import java.util.ArrayList;
import java.util.List;
import org.opentrellis.core.live.Editions;
import org.opentrellis.core.live.LiveTurn;
import org.opentrellis.core.live.LoggedTurn;
import org.opentrellis.core.live.Relived;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Lives everybody's life once more by the log, and says where it does not lead to how they stand.
 */
@Service
@Transactional(readOnly = true)
public class Audit {
  private static final int PIECE = 500;

  private final OpenJourneys open;
  private final LifeMapper lives;
  private final HappeningMapper log;
  private final ZoneClocks clocks;

  Audit(OpenJourneys open, LifeMapper lives, HappeningMapper log, ZoneClocks clocks) {
    this.open = open;
    this.lives = lives;
    this.log = log;
    this.clocks = clocks;
  }

  /** What is different about somebody, in sentences. */
  public record Difference(long person, List<String> sentences) {}

  /**
   * @param people how many were looked at
   * @param lines of the log that were lived once more
   * @param differences those about whom something is different
   */
  public record Audited(long people, long lines, List<Difference> differences) {}

  /** Everybody's. */
  public Audited all() {
    Editions editions = open.current();
    List<Difference> differences = new ArrayList<>();
    long people = 0;
    long lines = 0;
    long after = -1;
    List<Long> piece = lives.all(after, PIECE);
    while (!piece.isEmpty()) {
      for (long person : piece) {
        List<HappeningRow> rows = log.of(person);
        lines += rows.size();
        List<String> found = of(person, rows, editions);
        if (!found.isEmpty()) {
          differences.add(new Difference(person, found));
        }
      }
      people += piece.size();
      after = piece.getLast();
      piece = lives.all(after, PIECE);
    }
    return new Audited(people, lines, differences);
  }

  private List<String> of(long person, List<HappeningRow> rows, Editions editions) {
    LifeRow row = lives.find(person).orElseThrow();
    List<LoggedTurn> turns = LoggedLives.turns(rows);
    List<String> found =
        new ArrayList<>(
            Relived.differences(
                row.beginning(),
                turns,
                row.life(),
                new LiveTurn(editions, clocks.around(row.life().standing().now()))));
    List<VisitRow> stands =
        row.life().standing().visits().stream()
            .filter(visit -> visit.step().isPresent())
            .map(visit -> VisitRow.of(person, visit))
            .sorted(VisitRow.IN_ORDER)
            .toList();
    if (!stands.equals(lives.stands(person).stream().sorted(VisitRow.IN_ORDER).toList())) {
      found.add("They are listed at other steps than they stand at.");
    }
    return found;
  }
}
