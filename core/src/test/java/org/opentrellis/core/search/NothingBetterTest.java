package org.opentrellis.core.search;

import static org.assertj.core.api.Assertions.assertThat;
import static org.opentrellis.core.testing.Steps.behaviour;
import static org.opentrellis.core.testing.Steps.group;
import static org.opentrellis.core.testing.Steps.id;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.send;

import java.util.List;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.SplitArm;
import org.opentrellis.core.journey.Step;

/**
 * An A/A search: some 200 ways to part people among arms that are alike in everything but their
 * draws. The best of so many looks better every time, and must not be called so.
 */
@Order(1)
class NothingBetterTest {
  private static final Journey ALIKE =
      journey(
          new Step.SplitTest(
              id("s"),
              List.of(
                  new SplitArm(id("s-a"), 40, List.of(send("a"))),
                  new SplitArm(id("s-b"), 30, List.of(send("b"))),
                  new SplitArm(id("s-c"), 30, List.of(send("c"))))));

  @Test
  @Tag("thorough")
  void amongManyThatAreAlikeNoneIsBetter() {
    Behaviour people = behaviour(group(new Keenness(0.4, 0.2), 0), 0.5);
    List<BetterWays> all =
        IntStream.range(0, 100)
            .mapToObj(
                seed ->
                    Searches.forGoal(
                        Searches.plan(ALIKE, people, seed), 600, new Leeway.Weights(id("s"), 5)))
            .toList();
    assertThat(all).extracting(ways -> ways.size().combinations()).containsOnly(231L);
    // On the people they were chosen with, the best often look better by more than chance.
    assertThat(count(all, one -> one.found().low() > 0)).isGreaterThan(20);
    assertThat(count(all, BetterWays.Better::verdict)).isLessThanOrEqualTo(5);
  }

  /** In how many searches something that is shown is so. */
  private static long count(List<BetterWays> all, Predicate<BetterWays.Better> is) {
    return all.stream().filter(ways -> ways.better().stream().anyMatch(is)).count();
  }
}
