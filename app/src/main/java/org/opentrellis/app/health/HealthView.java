package org.opentrellis.app.health;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Whether mail is welcome.
 *
 * @param weeks the last twelve, this one among them, the oldest first; from the first on in which
 *     anything went out
 * @param says what stands out in them, or that nothing does
 */
record HealthView(List<HealthWeek> weeks, List<String> says, SilentView silent) {

  /**
   * @param sent emails that went out in it
   */
  record HealthWeek(
      LocalDate monday,
      long sent,
      @Nullable HealthRate bounced,
      @Nullable HealthRate complained,
      @Nullable HealthRate unsubscribed) {}

  /** A share of a week's emails with its 95% band; null where none went out. */
  record HealthRate(long count, double share, double low, double high) {}

  /**
   * Who opened nothing.
   *
   * @param days within which
   * @param groups by when they came, the oldest first
   * @param people their numbers, in order
   * @param says how many they are, and what it would do to mail them no more
   */
  record SilentView(int days, List<SilentGroup> groups, List<Long> people, List<String> says) {}

  /**
   * @param came when they came, in words
   * @param people of those who got mail and have been there for long enough
   * @param silent who opened none of it
   * @param share of these; low and high are its 95% band
   */
  record SilentGroup(
      String came, long people, long silent, double share, double low, double high) {}
}
