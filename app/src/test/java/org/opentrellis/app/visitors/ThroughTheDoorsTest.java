package org.opentrellis.app.visitors;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.entrances.OpenEntrance;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.live.CrowdOrder;
import org.opentrellis.app.live.LiveWorkshop;
import org.opentrellis.app.live.SaidAndDone;
import org.opentrellis.app.people.OutsideHappenings;
import org.opentrellis.core.crowd.Rehearsal;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.walk.Turn;
import tools.jackson.databind.JsonNode;

/**
 * People who sign up at a form, confirm by the mail that they get, load pictures, follow links
 * through the redirect, leave carts and buy in the shop, unsubscribe by one click, and whose mail
 * comes back, all over HTTP and SMTP: the same is done with them as the dry run said of the same
 * people, each thing at its step and on its day, whatever a journey is for.
 */
@Tag("thorough")
class ThroughTheDoorsTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(20);

  private static final LiveWorkshop WORKSHOP = new LiveWorkshop(APP);
  private static final long DAY = 24 * 3600;
  private static final int HORIZON = 60;

  /** More with {@code -Dlive.crowd=300}. */
  private static final int PEOPLE = Integer.getInteger("live.crowd", 8);

  @ParameterizedTest
  @CsvSource(
      textBlock =
          """
          First frames,          true,  Newcomers, ,              ,
          Through the season,    false, ,          season-course, ,
          Left on the bench,     true,  ,          ,              ,
          Membership turns over, true,  ,          ,              member until
          """)
  void aCrowdOfEachPurpose(String name, boolean confirms, String list, String tag, String field) {
    long journey = number(name);
    WORKSHOP.openNamed(name);
    OpenEntrance entrance = Forms.open(APP, "Door to " + name, confirms, list, tag, field);
    VisitorCrowds visitors = APP.bean(VisitorCrowds.class);
    VisitorOrder order =
        new VisitorOrder(
            entrance.id(), List.of(journey), PEOPLE, 3, CrowdOrder.ComingPace.EVENLY, 100, 23);
    DryRun run = visitors.run(order, HORIZON);
    long crowd = visitors.come(order, run);

    long end = 0;
    List<Rehearsal> all = new ArrayList<>();
    for (int n = 0; n < PEOPLE; n++) {
      all.add(Rehearsal.of(run, n));
      end = Math.max(end, all.get(n).turns().stream().mapToLong(Turn::at).max().orElse(0));
    }
    WORKSHOP.turnTo(end + DAY);

    JsonNode after = APP.get("/api/visitors").body().at("/crowds/0");
    assertThat(after.get("id").asLong()).isEqualTo(crowd);
    assertThat(after.get("came").asInt()).isEqualTo(PEOPLE);
    assertThat(after.get("failed").asInt()).as("%s", after).isZero();
    List<VisitorMapper.VisitorRow> who = APP.bean(VisitorMapper.class).of(crowd);
    int lines = 0;
    for (int n = 0; n < PEOPLE; n++) {
      long person = APP.bean(OutsideHappenings.class).numberOf(who.get(n).address()).orElseThrow();
      List<Turn> turns = all.get(n).turns();
      List<String> said = SaidAndDone.said(run, turns);
      // The dry run looks at nobody longer; a date returns the next year.
      long seen = turns.isEmpty() ? end : turns.getFirst().at() + HORIZON * DAY;
      assertThat(SaidAndDone.done(APP, person, seen)).as("person %d", n).isEqualTo(said);
      lines += said.size();
    }
    assertThat(lines).isGreaterThan(3 * PEOPLE);
    WORKSHOP.auditIsClean();
    WORKSHOP.state(journey, "STOPPED", false);
  }

  private static long number(String name) {
    return APP.bean(Journeys.class).names().stream()
        .filter(one -> one.name().equals(name))
        .findFirst()
        .orElseThrow()
        .id();
  }
}
