package org.opentrellis.app.calendar;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.opentrellis.core.problem.ProblemsFound;

/**
 * A draft of a journey, as if it were opened on a day.
 *
 * @param perDay so many people come a day
 */
record AsOpened(long journey, LocalDate day, int perDay) {
  private static final Pattern WRITTEN = Pattern.compile("(\\d{1,15})~([-\\d]{10})~(\\d{1,6})");
  private static final int MOST_PER_DAY = 100_000;

  /**
   * Reads "12~2026-12-07~10".
   *
   * @throws ProblemsFound if it is written otherwise
   */
  static AsOpened of(String written) {
    Matcher matcher = WRITTEN.matcher(written);
    if (!matcher.matches()) {
      throw refused();
    }
    int perDay = Integer.parseInt(matcher.group(3));
    if (perDay < 1 || perDay > MOST_PER_DAY) {
      throw ProblemsFound.badValue(
          "/draft", "Say that 1 to %,d people come a day.".formatted(MOST_PER_DAY));
    }
    try {
      return new AsOpened(
          Long.parseLong(matcher.group(1)), LocalDate.parse(matcher.group(2)), perDay);
    } catch (DateTimeException noDay) {
      throw refused();
    }
  }

  private static ProblemsFound refused() {
    return ProblemsFound.badValue(
        "/draft", "A draft is asked for as journey~day~people a day, such as 12~2026-12-07~10.");
  }
}
