package org.opentrellis.core.journey;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What a journey is for follows from its first trigger, and from nothing after that. */
class PurposeTest {
  private static final Trigger CART = new Trigger.LeavesCart(60);
  private static final Trigger LIST = new Trigger.JoinsList(new ListName("Newcomers"));

  private static Journey with(Purpose purpose, Trigger... triggers) {
    return Journey.empty("A test", purpose).edit().triggers(List.of(triggers)).done();
  }

  private static Purpose follows(Journey before, Trigger... triggers) {
    Journey after = before.edit().triggers(List.of(triggers)).done();
    return Purpose.following(before, after).purpose();
  }

  @Test
  void theFirstTriggerSaysIt() {
    Journey none = with(Purpose.OTHER);
    assertThat(follows(none, LIST)).isEqualTo(Purpose.WELCOME);
    assertThat(follows(none, CART, LIST)).isEqualTo(Purpose.CART);
    assertThat(follows(none, new Trigger.GetsTag(new TagName("t")))).isEqualTo(Purpose.NURTURE);
    assertThat(
            follows(
                none,
                new Trigger.DateComes(
                    new FieldName("renewal"), -30, LocalTime.of(9, 0), true, false)))
        .isEqualTo(Purpose.DATE_BASED);
    assertThat(follows(none, new Trigger.SubmitsForm(Optional.empty()))).isEqualTo(Purpose.WELCOME);
    assertThat(follows(none, new Trigger.HandedOver())).isEqualTo(Purpose.OTHER);
  }

  @Test
  void whoeverSaysItIsBelieved() {
    assertThat(follows(with(Purpose.NURTURE), CART)).isEqualTo(Purpose.NURTURE);
    assertThat(follows(with(Purpose.OTHER, LIST), CART)).isEqualTo(Purpose.OTHER);
    assertThat(follows(with(Purpose.OTHER))).isEqualTo(Purpose.OTHER);
    Journey said = with(Purpose.CART, LIST);
    assertThat(Purpose.following(with(Purpose.OTHER), said).purpose()).isEqualTo(Purpose.CART);
  }
}
