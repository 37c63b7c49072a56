package org.opentrellis.app.live;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import org.opentrellis.core.health.WeekOfMail;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What became of all mail, week by week and person by person. */
@Component
@Transactional(readOnly = true)
public class MailHealth {
  private static final long WEEK = 7L * 24 * 3600;

  private final MailHealthMapper mapper;

  MailHealth(MailHealthMapper mapper) {
    this.mapper = mapper;
  }

  /**
   * So many weeks from a Monday on, also those in which nothing went out.
   *
   * @param zone in which the Monday begins; a change of the clocks is not followed
   */
  public List<WeekOfMail> weeks(LocalDate monday, int count, ZoneId zone) {
    long from = monday.atStartOfDay(zone).toEpochSecond();
    long until = from + count * WEEK;
    long[][] counts = new long[count][4];
    mapper.sent(from, until).forEach(one -> counts[(int) one.week()][0] = one.times());
    for (MailHealthMapper.InWeek one : mapper.told(from, until)) {
      int what =
          switch (one.kind()) {
            case "BOUNCED" -> 1;
            case "COMPLAINED" -> 2;
            default -> 3;
          };
      counts[(int) one.week()][what] += one.times();
    }
    List<WeekOfMail> weeks = new ArrayList<>();
    for (int n = 0; n < count; n++) {
      long[] of = counts[n];
      weeks.add(new WeekOfMail(monday.plusWeeks(n), of[0], of[1], of[2], of[3]));
    }
    return weeks;
  }

  /**
   * Somebody who got mail since a moment, and has been there for longer.
   *
   * @param emails so many
   * @param opened so many of them were opened
   */
  public record Mailed(long person, Instant came, long emails, long opened) {}

  /**
   * @param from in epoch seconds
   */
  public List<Mailed> mailed(long from) {
    return mapper.mailed(from).stream()
        .map(
            row ->
                new Mailed(
                    row.personId(),
                    Instant.ofEpochSecond(row.cameAt()),
                    row.emails(),
                    Math.min(row.opened(), row.emails())))
        .toList();
  }
}
