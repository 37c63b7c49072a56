package org.opentrellis.app.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** One who fails stands in nobody's way. */
class OneByOneTest {
  private final List<List<Integer>> tried = new ArrayList<>();
  private final List<Integer> failed = new ArrayList<>();

  private void carryOut(List<Integer> all, RuntimeException failure, Integer... failing) {
    OneByOne.ifNeedBe(
        all,
        some -> {
          tried.add(some);
          if (some.stream().anyMatch(List.of(failing)::contains)) {
            throw failure;
          }
        },
        (one, why) -> {
          assertThat(why).isSameAs(failure);
          failed.add(one);
        });
  }

  @Test
  void allTogetherIfNobodyFails() {
    carryOut(List.of(1, 2, 3), new IllegalStateException());
    assertThat(tried).containsExactly(List.of(1, 2, 3));
    assertThat(failed).isEmpty();
  }

  @Test
  void halfAndHalfDownToWhomItFailsFor() {
    carryOut(List.of(1, 2, 3, 4), new IllegalStateException(), 2);
    assertThat(tried)
        .containsExactly(List.of(1, 2, 3, 4), List.of(1, 2), List.of(1), List.of(2), List.of(3, 4));
    assertThat(failed).containsExactly(2);
  }

  /** A full disk is nobody's fault, and would only be tried again for everybody. */
  @Test
  void theDiskIsNobodysFault() {
    RuntimeException full = new IllegalStateException(new IOException("No space left on device"));
    assertThatThrownBy(() -> carryOut(List.of(1, 2), full, 2)).isSameAs(full);
    assertThat(tried).hasSize(1);
    assertThat(failed).isEmpty();
  }
}
