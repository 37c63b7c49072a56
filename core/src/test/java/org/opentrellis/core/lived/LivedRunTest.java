package org.opentrellis.core.lived;

import static org.assertj.core.api.Assertions.assertThat;
import static org.opentrellis.core.testing.Steps.MESSAGES;
import static org.opentrellis.core.testing.Steps.pause;
import static org.opentrellis.core.testing.Steps.send;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.account.Texting;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.calibrate.SendRecord;
import org.opentrellis.core.dryrun.Arrival;
import org.opentrellis.core.dryrun.EmailTally;
import org.opentrellis.core.dryrun.JourneyTally;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.happening.MessageRef;
import org.opentrellis.core.journey.Channel;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.ReEntry;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.live.Edition;
import org.opentrellis.core.live.Editions;
import org.opentrellis.core.live.Life;
import org.opentrellis.core.live.LiveTurn;
import org.opentrellis.core.live.LoggedLife;
import org.opentrellis.core.live.LoggedTurn;
import org.opentrellis.core.machine.Standing;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.report.RunReport;

/**
 * Outside nothing comes in the order that a dry run knows, and plans change while people are
 * inside: the counts hold all the same. With hours after Monday, 1 March 2027 as time.
 */
class LivedRunTest {
  private static final long MONDAY = Instant.parse("2027-03-01T00:00:00Z").getEpochSecond();
  private static final ZoneClock CLOCK =
      ZoneClock.around(ZoneOffset.UTC, Instant.ofEpochSecond(MONDAY), 100);
  private static final JourneyName FIRST = new JourneyName("First");
  private static final MessageRef A = new MessageRef(FIRST, 0, new StepId("a"));

  private Editions editions = Editions.none(List.of());
  private final List<LoggedLife> lives = new ArrayList<>();
  private Journey newest = plan();

  private static Journey plan(Step... body) {
    return Journey.empty("First", Purpose.NURTURE)
        .edit()
        .triggers(List.of(new Trigger.PutIn()))
        .reEntry(new ReEntry.EveryTime())
        .body(List.of(body))
        .done();
  }

  private void opens(int version, boolean takesAlong, Step... body) {
    newest = plan(body);
    editions = editions.and(new Edition.Opened(newest, version, MESSAGES, takesAlong));
  }

  private static long at(double hours) {
    return MONDAY + (long) (hours * 3_600);
  }

  /** Somebody who lives through it, an edition and what is told at each moment. */
  private final class Somebody {
    private final Life begun = new Life(0, Standing.freeze(editions.world(0).newPerson(CLOCK)));
    private final List<LoggedTurn> log = new ArrayList<>();
    private Life life = begun;

    Somebody at(double hours, Happening... told) {
      LiveTurn.Done done =
          new LiveTurn(editions, CLOCK::in)
              .take(life, List.of(told), LivedRunTest.at(hours), (step, ways, visit) -> 0);
      log.add(
          new LoggedTurn(
              editions.newest(),
              LivedRunTest.at(hours),
              List.of(told),
              List.of(),
              done.atOnce(),
              done.deeds()));
      life = done.life();
      return this;
    }

    void isOver() {
      lives.add(new LoggedLife(begun, log));
    }
  }

  private LivedRun run(int version, double until) {
    World told = World.compile(List.of(newest), MESSAGES, List.of());
    return new LivedRun(
        editions,
        FIRST,
        version,
        told,
        lives::get,
        CLOCK::in,
        Instant.ofEpochSecond(MONDAY),
        10,
        at(until));
  }

  /** What holds in every run (see {@link JourneyTally}). */
  private static void holds(JourneyTally tally) {
    assertThat(tally.entered()).isEqualTo(tally.finished() + tally.left() + tally.waiting());
    for (EmailTally email : tally.sends()) {
      assertThat(email.clicked()).isLessThanOrEqualTo(email.openedByPeople());
      assertThat(email.openedByPeople()).isLessThanOrEqualTo(email.delivered());
      assertThat(email.unsubscribed()).isLessThanOrEqualTo(email.delivered());
      assertThat(email.delivered()).isLessThanOrEqualTo(email.sent());
    }
  }

  @Test
  void whoeverEnteredAnotherPlanIsToldOfAndNotMixedIn() {
    for (boolean along : new boolean[] {true, false}) {
      editions = Editions.none(List.of());
      lives.clear();
      opens(1, false, send("a"), pause("w", 1, TimeUnit.DAYS), send("b"));
      Somebody before = new Somebody().at(9, new Happening.PutIn(at(9), FIRST));
      opens(2, along, send("a"), pause("w", 2, TimeUnit.DAYS), send("b"), send("c"));
      before.at(10).at(33).at(57).isOver();
      new Somebody().at(12, new Happening.PutIn(at(12), FIRST)).at(60).isOver();
      new Somebody().at(20, new Happening.PutIn(at(20), FIRST)).isOver();
      LivedRun run = run(2, 61);
      Tallies tallies = run.tallies(lives.size());
      JourneyTally tally = tallies.journey();
      holds(tally);
      assertThat(run.others()).isEqualTo(1);
      assertThat(tally.entered()).isEqualTo(2);
      assertThat(tally.finished()).isEqualTo(1);
      assertThat(tally.waiting()).isEqualTo(1);
      assertThat(tally.sends()).extracting(EmailTally::sent).containsExactly(2L, 1L, 1L);
      assertThat(RunReport.of(run, tallies, Texting.NONE).journeys().getFirst().paths().paths())
          .hasSize(2);
    }
  }

  /** Each order of what cannot be both. */
  @Test
  void mailIsReadOrComesBack() {
    List<Happening> all =
        List.of(
            new Happening.Delivered(at(10), A),
            new Happening.Bounced(at(11), A, true),
            new Happening.Opened(at(12), A),
            new Happening.Clicked(at(13), A, Optional.empty()),
            new Happening.ConsentWithdrawn(at(14), Channel.EMAIL, Optional.of(A)));
    opens(1, false, send("a"), pause("w", 1, TimeUnit.DAYS), send("b"));
    for (int which = 0; which < 1 << all.size(); which++) {
      Somebody one = new Somebody().at(9, new Happening.PutIn(at(9), FIRST));
      Somebody late = new Somebody().at(9, new Happening.PutIn(at(9), FIRST));
      List<Happening> told = new ArrayList<>();
      for (int n = 0; n < all.size(); n++) {
        if ((which >> n & 1) == 1) {
          told.add(all.get(n));
        }
      }
      told.forEach(happening -> one.at((happening.at() - MONDAY) / 3_600.0, happening));
      // What happened first is heard of last.
      for (int n = told.size() - 1; n >= 0; n--) {
        late.at(20 + all.size() - n, told.get(n));
      }
      one.at(40).isOver();
      late.at(40).isOver();
    }
    LivedRun run = run(1, 41);
    Tallies tallies = run.tallies(lives.size());
    holds(tallies.journey());
    assertThat(tallies.journey().entered()).isEqualTo(64);
    assertThat(tallies.journey().sends().getFirst().delivered()).isLessThan(64);
    assertThat(tallies.journey().sends().getFirst().clicked()).isPositive();
    assertThat(RunReport.of(run, tallies, Texting.NONE).people()).isEqualTo(64);
  }

  /** What was not yet heard of when one looks does not count. */
  @Test
  void whatIsAheadIsNotCounted() {
    opens(1, false, send("a"), pause("w", 1, TimeUnit.DAYS), send("b"));
    new Somebody().at(9, new Happening.PutIn(at(9), FIRST)).isOver();
    JourneyTally tally = run(1, 20).tallies(1).journey();
    holds(tally);
    assertThat(tally.waiting()).isEqualTo(1);
    assertThat(tally.sends()).extracting(EmailTally::sent).containsExactly(1L, 0L);
  }

  /** As they were at the door: what came of it, and all that came later, is not there. */
  @Test
  void whoCameIsRememberedAsTheyWereAndWhatTheyGot() {
    opens(1, false, send("a"), pause("w", 1, TimeUnit.DAYS), send("b"));
    new Somebody()
        .at(9, new Happening.PutIn(at(9), FIRST))
        .at(11, new Happening.Delivered(at(10), A))
        .at(12, new Happening.Clicked(at(12), A, Optional.empty()))
        .at(20, new Happening.Tagged(at(20), new TagName("later")))
        .at(40)
        .isOver();
    LivedRun.Lived lived = run(1, 41).lived(1);
    assertThat(lived.tallies().journey().entered()).isEqualTo(1);
    Arrival arrival = lived.arrivals().getFirst();
    assertThat(arrival.at()).isEqualTo(at(9));
    assertThat(arrival.before().visits()).isEmpty();
    assertThat(arrival.before().coming()).isEmpty();
    assertThat(arrival.before().entries()).doesNotContainKey(FIRST);
    assertThat(arrival.before().labels()).isEmpty();
    assertThat(lived.history()).extracting(SendRecord::message).containsExactly("a", "b");
    SendRecord first = lived.history().getFirst();
    assertThat(first.delivered()).isPresent();
    assertThat(first.clicked()).contains(Instant.ofEpochSecond(at(12)));
    assertThat(first.bought()).isEmpty();
    assertThat(lived.history().getLast().opened()).isEmpty();
  }
}
