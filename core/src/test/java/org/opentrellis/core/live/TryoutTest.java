package org.opentrellis.core.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.opentrellis.core.testing.Steps.BERLIN;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.happening.MessageRef;
import org.opentrellis.core.journey.Channel;
import org.opentrellis.core.journey.JourneyState;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Standing;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.testing.ThreeEmails;

/** A draft is lived alone, again from its beginning each time; one act less is as if never done. */
class TryoutTest {
  private static final long NOW = Instant.parse("2027-03-01T08:00:00Z").getEpochSecond();
  private static final long WAIT = 60 * 3_600;
  private static final ZoneClock CLOCK = ZoneClock.around(BERLIN, Instant.ofEpochSecond(NOW), 100);

  private final List<Tryout.Act> acts = new ArrayList<>();

  private Tryout lived() {
    World world = World.compile(List.of(ThreeEmails.JOURNEY), ThreeEmails.MESSAGES, List.of());
    return Tryout.of(
        ThreeEmails.JOURNEY.edit().state(JourneyState.DRAFT).done(),
        ThreeEmails.MESSAGES,
        List.of(),
        Standing.freeze(world.newPerson(CLOCK)),
        (step, ways, visit) -> 0,
        acts,
        zone -> CLOCK);
  }

  private Tryout then(long at, Happening what) {
    acts.add(new Tryout.Act(at, Optional.of(what)));
    return lived();
  }

  private Tryout comesIn() {
    Trigger by = ThreeEmails.JOURNEY.triggers().getFirst();
    return then(NOW, new Happening.Came(NOW, ThreeEmails.JOURNEY.journeyName(), by));
  }

  private static List<MessageRef> sent(Tryout tryout) {
    return tryout.lines().stream()
        .filter(Tryout.Done.class::isInstance)
        .map(line -> ((Tryout.Done) line).what())
        .filter(deed -> deed.kind() == Deed.Kind.SENT)
        .map(deed -> new MessageRef(deed.journey(), deed.visit(), deed.step().orElseThrow()))
        .toList();
  }

  @Test
  void theClockGoesOnToWhatIsDue() {
    Tryout begun = comesIn();
    assertThat(sent(begun)).hasSize(1);
    assertThat(begun.nextAt()).isEqualTo(NOW + WAIT);
    acts.add(new Tryout.Act(begun.nextAt(), Optional.empty()));
    assertThat(sent(lived())).hasSize(2);
    assertThat(lived().isOver()).isFalse();
    acts.add(new Tryout.Act(lived().nextAt(), Optional.empty()));
    assertThat(sent(lived())).hasSize(3);
    assertThat(lived().isOver()).isTrue();
    assertThat(lived().nextAt()).isEqualTo(Person.NEVER);
  }

  @Test
  void aWaitIsSkippedAndWhatWasDoneIsTakenBack() {
    Tryout begun = comesIn();
    Tryout skipped = then(NOW, new Happening.PutForward(NOW, ThreeEmails.JOURNEY.journeyName()));
    assertThat(sent(skipped)).hasSize(2);
    assertThat(skipped.now()).isEqualTo(NOW);
    acts.removeLast();
    assertThat(lived()).isEqualTo(begun);
  }

  @Test
  void whoeverUnsubscribesIsThrough() {
    MessageRef first = sent(comesIn()).getFirst();
    Tryout gone =
        then(NOW + 60, new Happening.ConsentWithdrawn(NOW + 60, Channel.EMAIL, Optional.of(first)));
    assertThat(gone.isOver()).isTrue();
    acts.add(new Tryout.Act(NOW + 2 * WAIT, Optional.empty()));
    assertThat(sent(lived())).hasSize(1);
  }
}
