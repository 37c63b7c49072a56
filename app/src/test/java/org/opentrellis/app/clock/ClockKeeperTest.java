package org.opentrellis.app.clock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** The clock never goes back, whenever the machine dies; and what is kept of it is kept seldom. */
class ClockKeeperTest {
  private static final Instant NOW = Instant.parse("2026-11-30T12:00:00Z");
  private static final long HOUR = 3600;

  private final ClockMapper mapper = mock(ClockMapper.class);
  private long turnedOn;
  private long lookedTo = Long.MIN_VALUE;
  private int writes;

  ClockKeeperTest() {
    when(mapper.turnedOn()).thenAnswer(call -> turnedOn);
    when(mapper.lookedTo())
        .thenAnswer(call -> lookedTo == Long.MIN_VALUE ? Optional.empty() : Optional.of(lookedTo));
    doAnswer(
            call -> {
              turnedOn = call.getArgument(0);
              writes++;
              return null;
            })
        .when(mapper)
        .turnOn(anyLong());
    doAnswer(
            call -> {
              lookedTo = call.getArgument(0);
              writes++;
              return null;
            })
        .when(mapper)
        .lookTo(anyLong());
  }

  /** As it is after a start: nothing is known but what was kept. */
  private AccountClock started() {
    return new AccountClock(Clock.fixed(NOW, ZoneOffset.UTC), mapper);
  }

  @Test
  void afterADeathAtAnyMomentItIsNotBehindWhereItWas() {
    AccountClock clock = started();
    ClockKeeper keeper = new ClockKeeper(clock, mapper);
    for (int quarter = 0; quarter < 200; quarter++) {
      keeper.stand(NOW.plus(Duration.ofMinutes(15L * quarter)));
      keeper.keep();
      long again = started().now();
      assertThat(again).isBetween(clock.now(), clock.now() + HOUR);
    }
    assertThat(writes).as("about once an hour").isBetween(40, 60);
    keeper.goOn();
    assertThat(started().now()).as("and just there, once it is over").isEqualTo(clock.now());
  }

  @Test
  void aSecondTurningIsKeptAsTheFirstWas() {
    AccountClock clock = started();
    ClockKeeper keeper = new ClockKeeper(clock, mapper);
    for (int turning = 1; turning <= 3; turning++) {
      keeper.stand(clock.instant().plusSeconds(60));
      keeper.keep();
      assertThat(started().now()).isGreaterThanOrEqualTo(clock.now());
      keeper.goOn();
      assertThat(clock.turnedOn()).isEqualTo(60L * turning);
    }
  }

  /** At most an hour is looked at again. */
  @Test
  void howFarOneHasLookedIsKnownAtOnceAndKeptOnceAnHour() {
    ClockKeeper keeper = new ClockKeeper(started(), mapper);
    assertThat(keeper.lookedTo()).isEmpty();
    for (long minute = 0; minute <= 600; minute++) {
      keeper.lookTo(minute * 60);
      assertThat(keeper.lookedTo()).contains(minute * 60);
      assertThat(lookedTo).isBetween(minute * 60 - HOUR, minute * 60);
    }
    assertThat(writes).isEqualTo(11);
  }
}
