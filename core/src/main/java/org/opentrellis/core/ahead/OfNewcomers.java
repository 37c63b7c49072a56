package org.opentrellis.core.ahead;

import java.time.temporal.ChronoUnit;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.SendCalendar;
import org.opentrellis.core.dryrun.Tallies;

/** What goes out to people who are still to come: a dry run's people stand for them. */
public final class OfNewcomers {
  private OfNewcomers() {}

  /**
   * What a dry run's people get, each standing for some who come. How many come is itself not
   * certain unless it is said, so it may be off as counts of what happens by itself are (Poisson).
   *
   * @param come how many are expected
   * @param certain whether so many come
   */
  public static Outlook of(DryRun run, Tallies tallies, double come, boolean certain, Days days) {
    Outlook outlook = new Outlook(days);
    double each = come / run.settings().people();
    add(tallies.emails(), run, each, certain, outlook);
    return outlook;
  }

  private static void add(
      SendCalendar sent, DryRun run, double each, boolean certain, Outlook outlook) {
    Days days = outlook.days();
    int offset = (int) ChronoUnit.DAYS.between(days.first(), run.settings().startDay());
    double people = run.settings().people();
    for (int day = 0; day < sent.days(); day++) {
      int there = day + offset;
      if (there < 0 || there >= days.count()) {
        continue;
      }
      for (int hour = 0; hour < Days.HOURS; hour++) {
        outlook.expect(there * Days.HOURS + hour, each * sent.at(day, hour));
      }
      double count = sent.on(day);
      double share = Math.min(1, count / people);
      double byChance = certain ? count * (1 - share) : count;
      outlook.mayBeOff(there, each * byChance + each * each * count * (1 - share));
    }
  }
}
