package org.opentrellis.app.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.SplittableRandom;
import java.util.TreeSet;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Sets of people, of which some are told by who is not in them, are what plain sets are. */
class ThoseTest {
  private static final int PEOPLE = 150;

  /** The same people twice: as they are kept, and one by one. */
  private record Twice(Those those, TreeSet<Long> plain) {}

  private static Twice random(SplittableRandom random, int depth) {
    if (depth == 0) {
      return switch (random.nextInt(4)) {
        case 0 -> new Twice(Those.nobody(), new TreeSet<>());
        case 1 -> new Twice(Those.everybody(), everybody());
        default -> some(random);
      };
    }
    Twice one = random(random, depth - 1);
    Twice other = random(random, random.nextInt(depth));
    TreeSet<Long> plain = new TreeSet<>(one.plain());
    return switch (random.nextInt(3)) {
      case 0 -> {
        plain.retainAll(other.plain());
        yield new Twice(one.those().and(other.those()), plain);
      }
      case 1 -> {
        plain.addAll(other.plain());
        yield new Twice(one.those().or(other.those()), plain);
      }
      default -> {
        TreeSet<Long> rest = everybody();
        rest.removeAll(plain);
        yield new Twice(one.those().not(), rest);
      }
    };
  }

  private static Twice some(SplittableRandom random) {
    TreeSet<Long> plain = everybody();
    int kept = random.nextInt(4);
    plain.removeIf(one -> random.nextInt(4) > kept);
    return new Twice(Those.of(plain), plain);
  }

  private static TreeSet<Long> everybody() {
    return new TreeSet<>(LongStream.rangeClosed(1, PEOPLE).boxed().toList());
  }

  @ParameterizedTest
  @ValueSource(ints = {0, 1, 2, 3, 5, 8})
  void joinedAtRandomTheyAreTheSamePeople(int depth) {
    for (int seed = 0; seed < 500; seed++) {
      Twice twice = random(new SplittableRandom(1_000L * depth + seed), depth);
      assertThat(everybody().stream().filter(twice.those()::has))
          .as("depth %d, seed %d", depth, seed)
          .containsExactlyElementsOf(twice.plain());
      assertThat(twice.those().count(PEOPLE)).isEqualTo(twice.plain().size());
      if (!twice.those().areOthers()) {
        assertThat(twice.those().numbers().boxed()).containsExactlyElementsOf(twice.plain());
      }
    }
  }

  /** Joining leaves what was joined as it was. */
  @Test
  void noneIsChanged() {
    Those some = Those.of(List.of(1L, 2L));
    Those more = Those.of(List.of(2L, 3L));
    some.and(more);
    some.or(more);
    some.not().and(more.not());
    assertThat(some.numbers()).containsExactly(1L, 2L);
    assertThat(more.numbers()).containsExactly(2L, 3L);
  }

  /** Who "all others" are, only the account knows; nothing is made up. */
  @Test
  void othersAreNotListed() {
    assertThatThrownBy(() -> Those.of(List.of(7L)).not().numbers())
        .isInstanceOf(IllegalStateException.class);
    assertThat(Those.everybody().atMost(Integer.MAX_VALUE)).isFalse();
  }
}
