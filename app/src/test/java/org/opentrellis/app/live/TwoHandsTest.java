package org.opentrellis.app.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** What is done at the same time comes back in order, and nothing is left under way. */
class TwoHandsTest {
  private final TwoHands hands = new TwoHands();

  @AfterEach
  void rest() {
    hands.destroy();
  }

  @Test
  void twoThingsAreDoneAtTheSameTime() {
    CountDownLatch both = new CountDownLatch(2);
    Supplier<Boolean> meets =
        () -> {
          both.countDown();
          try {
            both.await();
          } catch (InterruptedException stop) {
            throw new IllegalStateException(stop);
          }
          return true;
        };
    assertThat(hands.all(List.of(meets, meets))).containsExactly(true, true);
  }

  /** What the other hand hands over must be known before anybody goes on. */
  @Test
  void ifOneFailsTheOtherIsWaitedFor() {
    AtomicInteger done = new AtomicInteger();
    Supplier<Integer> fails =
        () -> {
          throw new IllegalArgumentException("the first");
        };
    Supplier<Integer> slow =
        () -> {
          try {
            Thread.sleep(200);
          } catch (InterruptedException stop) {
            throw new IllegalStateException(stop);
          }
          return done.incrementAndGet();
        };
    assertThatThrownBy(() -> hands.all(List.of(fails, slow, slow)))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessage("the first");
    assertThat(done).hasValue(2);
  }

  @Test
  void manySmallThingsComeBackInOrder() {
    for (int many : new int[] {0, 1, 19, 20, 21, 1_001}) {
      List<Supplier<Integer>> works =
          IntStream.range(0, many).<Supplier<Integer>>mapToObj(n -> () -> n).toList();
      assertThat(hands.each(works)).isEqualTo(IntStream.range(0, many).boxed().toList());
    }
  }
}
