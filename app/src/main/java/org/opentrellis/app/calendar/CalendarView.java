package org.opentrellis.app.calendar;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What goes out on some days. Lists by day go by the days from the first on.
 *
 * @param today by the account's clock
 * @param lanes newsletters first, in order of time
 * @param all what goes out together
 * @param crowded days on which people get more than one email
 * @param weeks in which people get more than enough
 * @param quota by month; none without a quota
 * @param says what else is to be known
 */
record CalendarView(
    LocalDate from,
    int days,
    LocalDate today,
    String zone,
    List<CalendarLane> lanes,
    CalendarSums all,
    List<CrowdedDay> crowded,
    List<FullWeek> weeks,
    List<MonthQuota> quota,
    List<String> says) {

  /** What a lane is about. */
  enum LaneKind {
    NEWSLETTER,
    NEWS,
    JOURNEY,
    /** A journey that is not open, as if it were. */
    DRAFT
  }

  /**
   * @param id of the journey, newsletter or news
   * @param note what it is in a few words, such as “open · 31 come a day”
   * @param goesOn the day on which a newsletter goes that can still be moved
   * @param sure whether it is planned or runs; else it goes out only if somebody plans it
   */
  record CalendarLane(
      long id,
      LaneKind kind,
      String name,
      String note,
      boolean sure,
      @Nullable LocalDate goesOn,
      CalendarSums emails) {}

  /**
   * Emails by day: what is expected with its 95% band, or what has gone, on days that are past.
   *
   * @param gone so many of each day's have gone
   */
  record CalendarSums(List<Double> mean, List<Double> low, List<Double> high, List<Long> gone) {}

  /**
   * A day on which people get more than one email.
   *
   * @param people how many, with the band
   * @param meetings which emails the same people get, those that meet at most people first
   * @param mend what would mend most of it; null if nothing that is known does
   */
  record CrowdedDay(
      LocalDate day,
      CrowdedPeople people,
      List<EmailsMeet> meetings,
      @Nullable MovedNewsletter mend) {}

  record CrowdedPeople(double mean, double low, double high) {}

  /**
   * @param one and other, by lane
   */
  record EmailsMeet(String one, String other, double people) {}

  /**
   * A newsletter that would be moved.
   *
   * @param then how many would get more than one email on the day to which it is moved, and on this
   *     day
   */
  record MovedNewsletter(
      long newsletter, String name, LocalDate to, double then, String sentence) {}

  /** A week, from Monday, in which people get more emails than are enough. */
  record FullWeek(LocalDate monday, int enough, CrowdedPeople people) {}

  /**
   * @param gone so many have gone in the month
   * @param expected so many more are, in what is shown of the month
   * @param whole whether all that is left of the month is shown
   */
  record MonthQuota(
      String month,
      long limit,
      long gone,
      double expected,
      double low,
      double high,
      boolean whole,
      String sentence) {}
}
