package org.opentrellis.app.live;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.live.LoggedLife;
import org.opentrellis.core.live.LoggedTurn;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** People's lives as they stand in the log. */
@Service
@Transactional(readOnly = true)
class LoggedLives {
  private final LifeMapper lives;
  private final HappeningMapper log;

  LoggedLives(LifeMapper lives, HappeningMapper log) {
    this.lives = lives;
    this.log = log;
  }

  /** The life of somebody whom a journey has known. */
  LoggedLife of(long person) {
    return new LoggedLife(lives.find(person).orElseThrow().beginning(), turns(log.of(person)));
  }

  static List<LoggedTurn> turns(List<HappeningRow> rows) {
    List<List<HappeningRow>> byTurn = new ArrayList<>();
    for (HappeningRow row : rows) {
      if (byTurn.isEmpty() || byTurn.getLast().getFirst().turn() != row.turn()) {
        byTurn.add(new ArrayList<>());
      }
      byTurn.getLast().add(row);
    }
    return byTurn.stream().map(LoggedLives::turn).toList();
  }

  private static LoggedTurn turn(List<HappeningRow> rows) {
    HappeningRow first = rows.getFirst();
    return new LoggedTurn(
        first.edition(),
        first.turnAt(),
        told(rows, HappeningRow.Origin.TOLD::equals),
        told(rows, HappeningRow.Origin.QUIETLY::equals),
        told(rows, HappeningRow.Origin.AT_ONCE::equals).stream()
            .map(Happening.OfMessage.class::cast)
            .toList(),
        rows.stream()
            .filter(row -> row.origin() == HappeningRow.Origin.DONE)
            .map(HappeningRow::deed)
            .toList());
  }

  private static List<Happening> told(
      List<HappeningRow> rows, Predicate<HappeningRow.Origin> which) {
    return rows.stream()
        .filter(row -> which.test(row.origin()))
        .map(HappeningRow::happening)
        .toList();
  }
}
