package org.opentrellis.app.calendar;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.newsletters.NewsletterAudience;
import org.opentrellis.app.newsletters.Newsletters;
import org.opentrellis.core.ahead.Days;
import org.opentrellis.core.ahead.OfNewcomers;
import org.opentrellis.core.ahead.Outlook;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.Effort;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.newsletter.Going;
import org.springframework.stereotype.Component;

/** What newsletters send that have not begun to go out. */
@Component
class NewslettersAhead {
  private static final int READERS = 400;
  private static final int READERS_DAYS = 22;

  private final NewsletterAudience audience;
  private final Journeys journeys;
  private final RunsAhead runs;
  private final Account account;

  NewslettersAhead(
      NewsletterAudience audience, Journeys journeys, RunsAhead runs, Account account) {
    this.audience = audience;
    this.journeys = journeys;
    this.runs = runs;
    this.account = account;
  }

  /**
   * @param only of whom alone it is told
   */
  LaneAhead lane(Newsletters.Coming of, Days days, Catalogue catalogue, Optional<BitSet> only) {
    BitSet all = audience.lately(of.newsletter());
    BitSet who = only.map(some -> both(all, some)).orElse(all);
    Going going = of.newsletter().going().orElseThrow();
    LocalDate date = going.date();
    RunsAhead.Run run =
        runs.of(
            List.of(of.document(), catalogue.pressure(), days.zone()),
            Effort.of(1),
            () ->
                new DryRun(
                    of.plan().edit().entryFilter(Optional.empty()).done(),
                    catalogue,
                    journeys.usual(),
                    CohortSettings.of(
                        READERS, 1, date.atStartOfDay(ZoneOffset.UTC).toInstant(), READERS_DAYS)));
    Outlook outlook = OfNewcomers.of(run.run(), run.tallies(), who.cardinality(), true, days);
    account.quietHours().ifPresent(outlook::holdOver);
    return new LaneAhead(
        of.id(),
        CalendarView.LaneKind.NEWSLETTER,
        of.newsletter().name(),
        (of.planned() ? "newsletter" : "draft newsletter") + ", " + going.at(),
        of.planned(),
        outlook,
        LaneAhead.hours(days),
        who,
        List.of(of));
  }

  private static BitSet both(BitSet one, BitSet other) {
    BitSet both = (BitSet) one.clone();
    both.and(other);
    return both;
  }
}
