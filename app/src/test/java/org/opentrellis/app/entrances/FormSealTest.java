package org.opentrellis.app.entrances;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;

/** Only what we gave out comes in, within its time. */
class FormSealTest {
  private Instant now = Instant.parse("2027-03-01T09:00:00Z");
  private final FormSeal seal =
      new FormSeal(
          new Clock() {
            @Override
            public Instant instant() {
              return now;
            }

            @Override
            public ZoneId getZone() {
              return ZoneOffset.UTC;
            }

            @Override
            public Clock withZone(ZoneId zone) {
              return this;
            }
          });

  private FormSeal.Read after(Duration time, String slug, String made) {
    Instant then = now;
    now = now.plus(time);
    FormSeal.Read read = seal.read(slug, made);
    now = then;
    return read;
  }

  @Test
  void aPersonTakesTheirTimeAndADayAtMost() {
    String made = seal.make("planner");
    assertThat(after(Duration.ofMillis(1_499), "planner", made))
        .isInstanceOf(FormSeal.TooSoon.class);
    assertThat(after(Duration.ofMillis(1_500), "planner", made)).isInstanceOf(FormSeal.Good.class);
    assertThat(after(Duration.ofHours(24), "planner", made)).isInstanceOf(FormSeal.Good.class);
    assertThat(after(Duration.ofHours(25), "planner", made)).isInstanceOf(FormSeal.Stale.class);
  }

  /** Nobody makes one, changes one, or carries one from form to form. */
  @Test
  void whatWeDidNotGiveOutIsStale() {
    String made = seal.make("planner");
    Duration minute = Duration.ofMinutes(1);
    String older = made.replaceFirst("\\.\\d+\\.", ".1.");
    for (String other :
        new String[] {"", ".", "..", "a.b.c", made + "x", "x" + made, older, made.substring(1)}) {
      assertThat(after(minute, "planner", other)).as(other).isInstanceOf(FormSeal.Stale.class);
    }
    assertThat(after(minute, "another", made)).isInstanceOf(FormSeal.Stale.class);
    assertThat(after(minute, "planner", new FormSeal(Clock.systemUTC()).make("planner")))
        .isInstanceOf(FormSeal.Stale.class);
  }

  @Test
  void eachFormHasANumberOfItsOwn() {
    assertThat(number(seal.make("planner"))).isNotEqualTo(number(seal.make("planner")));
  }

  private String number(String made) {
    return ((FormSeal.Good) after(Duration.ofMinutes(1), "planner", made)).number();
  }
}
