package org.opentrellis.core.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.opentrellis.core.testing.Steps.MESSAGES;
import static org.opentrellis.core.testing.Steps.id;
import static org.opentrellis.core.testing.Steps.pause;
import static org.opentrellis.core.testing.Steps.send;
import static org.opentrellis.core.testing.Steps.split;
import static org.opentrellis.core.testing.Steps.tag;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.happening.MessageRef;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.ReEntry;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Standing;
import org.opentrellis.core.replay.Replay;

/** Turns in one edition after the other, with hours after Monday, 1 March 2027 as time. */
class LiveTurnTest {
  private static final long MONDAY = Instant.parse("2027-03-01T00:00:00Z").getEpochSecond();
  private static final ZoneClock CLOCK =
      ZoneClock.around(ZoneOffset.UTC, Instant.ofEpochSecond(MONDAY), 100);
  private static final JourneyName FIRST = new JourneyName("First");
  private static final Replay.Lots FIRST_WAY = (step, ways, visit) -> 0;

  private Editions editions = Editions.none(List.of());
  private final Life begun = new Life(0, Standing.freeze(editions.world(0).newPerson(CLOCK)));
  private Life life = begun;
  private final List<LoggedTurn> log = new ArrayList<>();
  private long nextAt;

  private static long at(double hours) {
    return MONDAY + (long) (hours * 3_600);
  }

  private void opens(int version, boolean takesAlong, Step... body) {
    Journey journey =
        Journey.empty("First", Purpose.NURTURE)
            .edit()
            .triggers(List.of(new Trigger.PutIn()))
            .reEntry(new ReEntry.EveryTime())
            .body(List.of(body))
            .done();
    editions = editions.and(new Edition.Opened(journey, version, MESSAGES, takesAlong));
  }

  private LiveTurn turns() {
    return new LiveTurn(editions, CLOCK::in);
  }

  private List<String> turn(double hours, Happening... told) {
    LiveTurn.Done done = turns().take(life, List.of(told), at(hours), FIRST_WAY);
    log.add(
        new LoggedTurn(
            editions.newest(), at(hours), List.of(told), List.of(), done.atOnce(), done.deeds()));
    life = done.life();
    nextAt = done.nextAt();
    return done.deeds().stream()
        .map(
            deed ->
                deed.kind()
                    + deed.step().map(step -> " " + step).orElse("")
                    + deed.detail().map(detail -> " " + detail).orElse(""))
        .toList();
  }

  private static Happening putIn(double hours) {
    return new Happening.PutIn(at(hours), FIRST);
  }

  @Test
  void somebodyWhoIsPutInGetsMailAndGoesOnWhenItIsDue() {
    opens(1, false, send("a"), pause("w", 1, TimeUnit.DAYS), tag("t", "read"));
    assertThat(turn(9, putIn(9))).containsExactly("ENTERED", "SENT a");
    assertThat(nextAt).isEqualTo(at(33));
    MessageRef message = new MessageRef(FIRST, 0, id("a"));
    assertThat(turn(10, new Happening.Opened(at(10), message))).isEmpty();
    assertThat(turn(33)).containsExactly("RECORD_CHANGED t", "FINISHED t");
    assertThat(nextAt).isEqualTo(Person.NEVER);
    assertThat(life.standing().labels()).containsExactly(new TagName("read"));
    assertThat(Relived.differences(begun, log, life, turns())).isEmpty();
  }

  /** It does not matter how often a turn is tried, or that nobody looked for long. */
  @Test
  void whatIsDueIsDoneOnceAndNeverInThePast() {
    opens(1, false, send("a"), pause("w", 1, TimeUnit.DAYS), send("b"));
    turn(9, putIn(9));
    assertThat(turn(9)).isEmpty();
    assertThat(turn(20)).isEmpty();
    Life before = life;
    assertThat(turn(80)).containsExactly("SENT b", "FINISHED b");
    assertThat(turns().take(before, List.of(), at(80), FIRST_WAY).life()).isEqualTo(life);
    assertThat(log.getLast().deeds()).extracting(Deed::at).containsOnly(at(80));
  }

  @Test
  void whoeverIsInsideGoesOnWithTheNewPlanOrFinishesTheOldOne() {
    for (boolean along : new boolean[] {true, false}) {
      editions = Editions.none(List.of());
      life = begun;
      log.clear();
      opens(1, false, send("a"), pause("w", 1, TimeUnit.DAYS), tag("t", "old"));
      turn(9, putIn(9));
      opens(2, along, send("a"), pause("w", 2, TimeUnit.DAYS), tag("t", "new"));
      assertThat(turn(10)).isEmpty();
      turn(33);
      turn(57);
      assertThat(life.standing().labels()).containsExactly(new TagName(along ? "new" : "old"));
      assertThat(Relived.differences(begun, log, life, turns())).isEmpty();
    }
  }

  @Test
  void nobodyEntersWhatIsClosedAndEverybodyLeavesWhatIsStopped() {
    opens(1, false, pause("w", 1, TimeUnit.DAYS));
    turn(9, putIn(9));
    editions = editions.and(new Edition.Closed(FIRST));
    assertThat(turn(10, putIn(10))).isEmpty();
    assertThat(life.standing().visits().getFirst().step()).contains(id("w"));
    editions = editions.and(new Edition.Stopped(FIRST));
    assertThat(turn(11)).containsExactly("LEFT w STOPPED");
    opens(2, false, send("a"));
    assertThat(turn(12, putIn(12))).contains("SENT a");
    assertThat(Relived.differences(begun, log, life, turns())).isEmpty();
    assertThatThrownBy(() -> opens(2, false, send("a")))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("does not follow version 2");
  }

  /** An audit that cannot fail would be none. */
  @Test
  void whatIsMissingInTheLogIsFound() {
    opens(1, false, split("s", 50, List.of(send("a")), List.of(send("b"))));
    turn(9, putIn(9));
    LoggedTurn whole = log.getFirst();
    assertThat(Relived.differences(begun, List.of(), life, turns()))
        .containsExactly("They stand otherwise than what happened to them leads to.");
    LoggedTurn less =
        new LoggedTurn(
            whole.edition(),
            whole.now(),
            whole.told(),
            whole.quietly(),
            whole.atOnce(),
            whole.deeds().stream().filter(deed -> deed.kind() != Deed.Kind.SENT).toList());
    assertThat(Relived.differences(begun, List.of(less), life, turns()))
        .singleElement()
        .asString()
        .contains("now SENT at a in \u201cFirst\u201d");
  }

  /** Lots of one person fall the same however often they are drawn, and half and half over many. */
  @Test
  void lotsFallByWhoSomebodyIs() {
    opens(1, false, split("s", 30, List.of(send("a")), List.of(send("b"))));
    long first =
        IntStream.range(0, 2_000)
            .filter(
                key -> {
                  PersonalLots lots = new PersonalLots(key * 7_919L);
                  List<Deed> deeds = turns().take(begun, List.of(putIn(9)), at(9), lots).deeds();
                  assertThat(turns().take(begun, List.of(putIn(9)), at(9), lots).deeds())
                      .isEqualTo(deeds);
                  return deeds.stream()
                      .anyMatch(deed -> deed.step().filter(id("a")::equals).isPresent());
                })
            .count();
    // 600 are expected; four standard deviations of a binomial are 82
    assertThat(first).isBetween(518L, 682L);
  }
}
