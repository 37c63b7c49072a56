package org.opentrellis.app.calendar;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.computing.ComputingRoom;
import org.opentrellis.app.computing.Lane;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.journeys.KeptJourney;
import org.opentrellis.core.ahead.Days;
import org.opentrellis.core.ahead.OfNewcomers;
import org.opentrellis.core.ahead.Outlook;
import org.opentrellis.core.behaviour.ArrivalPlan;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.journey.Catalogue;
import org.springframework.stereotype.Component;

/** What drafts of journeys would send if they were opened on a day. */
@Component
class DraftsAhead {
  private static final int PEOPLE = 2_000;
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

  private final Journeys journeys;
  private final Catalogues catalogues;
  private final RunsAhead runs;
  private final ComputingRoom room;
  private final Account account;

  DraftsAhead(
      Journeys journeys,
      Catalogues catalogues,
      RunsAhead runs,
      ComputingRoom room,
      Account account) {
    this.journeys = journeys;
    this.catalogues = catalogues;
    this.runs = runs;
    this.room = room;
    this.account = account;
  }

  LaneAhead lane(AsOpened as, Days days) {
    KeptJourney kept = journeys.find(as.journey());
    LocalDate end = days.first().plusDays(days.count());
    int left = (int) Math.max(0, ChronoUnit.DAYS.between(as.day(), end));
    Outlook outlook = new Outlook(days);
    if (left > 0) {
      Catalogue catalogue = catalogues.current();
      Instant start = as.day().atStartOfDay(ZoneOffset.UTC).toInstant();
      RunsAhead.Run run =
          ComputingRoom.await(
              room.begin(
                      Lane.QUICK,
                      effort ->
                          runs.of(
                              List.of(kept.journey(), kept.behaviour(), catalogue, start, left),
                              effort,
                              () ->
                                  new DryRun(
                                      kept.journey(),
                                      catalogue,
                                      kept.behaviour(),
                                      new CohortSettings(
                                          PEOPLE,
                                          1,
                                          start,
                                          left,
                                          new ArrivalPlan.Evenly(left),
                                          0))))
                  .result());
      outlook = OfNewcomers.of(run.run(), run.tallies(), (double) as.perDay() * left, false, days);
      account.quietHours().ifPresent(outlook::holdOver);
    }
    return LaneAhead.of(
        as.journey(),
        CalendarView.LaneKind.DRAFT,
        kept.journey().name(),
        "draft, as if opened on %s · %,d come a day".formatted(DAY.format(as.day()), as.perDay()),
        false,
        outlook);
  }
}
