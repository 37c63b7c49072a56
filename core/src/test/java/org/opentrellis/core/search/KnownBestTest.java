package org.opentrellis.core.search;

import static org.assertj.core.api.Assertions.assertThat;
import static org.opentrellis.core.testing.Steps.behaviour;
import static org.opentrellis.core.testing.Steps.branch;
import static org.opentrellis.core.testing.Steps.group;
import static org.opentrellis.core.testing.Steps.id;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.opened;
import static org.opentrellis.core.testing.Steps.pause;
import static org.opentrellis.core.testing.Steps.reaction;
import static org.opentrellis.core.testing.Steps.send;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.apache.commons.statistics.distribution.LogNormalDistribution;
import org.hipparchus.analysis.integration.IterativeLegendreGaussIntegrator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.opentrellis.core.behaviour.Assumed;
import org.opentrellis.core.behaviour.Attention;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.behaviour.Origin;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.vary.VariedRun;

/** Searches over journeys whose best variation is known in closed form. */
class KnownBestTest {

  /**
   * Second tries under the Polya urn: with keenness Beta(1.2, 1.8) the chance of a first open at
   * the n-th try after n-1 misses is 1.2 / (3 + n - 1), so 0.4, 0.3, 0.24, 0.2. Each open brings a
   * sale worth v in the mean, and each email costs p: a further try pays as long as its chance
   * times v is above p. So a price between two of these decides how many tries are best.
   */
  @ParameterizedTest
  @CsvSource({"0.35, 0", "0.27, 1", "0.22, 2", "0.10, 3"})
  void asManyTriesAsPay(double chanceThatPays, int best) {
    Behaviour people =
        behaviour(group(new Keenness(0.4, 0.25), 0), 1)
            .edit()
            .attention(Attention.flat(Origin.BY_HAND))
            .openMedianHours(Assumed.byHand(1))
            .openSigma(Assumed.byHand(0.3))
            .buyMeanHours(Assumed.byHand(1))
            .usual(reaction(1, 1, 0))
            .done();
    double sigma = people.orderSigma().value();
    double worth = people.orderMedian().value() * Math.exp(sigma * sigma / 2);
    VariedRun plan = Searches.plan(journey(send("a"), pause("w", 9, TimeUnit.DAYS)), people, 3);
    BetterWays ways =
        Search.of(
            new SearchPlan(
                plan,
                new SearchWish(
                    List.of(new Leeway.Tries(id("a"), 0, 3)),
                    new Wanted(Wanted.What.MONEY, 1000 * worth * chanceThatPays, 0),
                    Limits.NONE,
                    20_000)),
            SearchWatch.NONE);
    if (best == 0) {
      assertThat(ways.better()).noneMatch(BetterWays.Better::verdict);
      assertThat(ways.sentence()).startsWith("Nothing better found");
    } else {
      BetterWays.Better first = ways.better().get(0);
      assertThat(first.verdict()).isTrue();
      assertThat(first.settings()).containsExactly(new Setting("tries:a", Integer.toString(best)));
    }
  }

  /**
   * How long to wait for an open, with a goal that is to be met within a day. Those who open the
   * first email in time get one that sells to 9 in 10, the others then get one that sells to 4 in
   * 10; both are opened at a lognormal delay with distribution G. Waiting until d, of p people who
   * open at all, p 0.9 int_0^d f(t) G(T-t) dt + (1 - p F(d)) 0.4 G(T-d) meet the goal in time.
   */
  @Test
  void asLongAnHourAsPays() {
    double p = 0.5;
    int limit = 24;
    Behaviour people =
        behaviour(group(new Keenness(p, 0.001), 0), 1)
            .edit()
            .attention(Attention.flat(Origin.BY_HAND))
            .openMedianHours(Assumed.byHand(6))
            .openSigma(Assumed.byHand(0.7))
            .clickMedianMinutes(Assumed.byHand(0.05))
            .buyMeanHours(Assumed.byHand(0.001))
            .emails(
                Map.of(
                    id("a"), reaction(1, 0, 0),
                    id("b"), reaction(1e6, 0.9, 0),
                    id("c"), reaction(1e6, 0.4, 0)))
            .done();
    Journey journey =
        journey(
            Optional.of(Goal.bought(1, true)),
            send("a"),
            branch(
                "d",
                opened("a"),
                Amount.of(1, TimeUnit.HOURS),
                List.of(send("b")),
                List.of(send("c"))));
    LogNormalDistribution delay = LogNormalDistribution.of(Math.log(6), 0.7);
    var integral = new IterativeLegendreGaussIntegrator(20, 1e-9, 1e-9);
    double[] goal =
        IntStream.rangeClosed(1, 23)
            .mapToDouble(
                d ->
                    p
                            * 0.9
                            * integral.integrate(
                                100_000,
                                t -> delay.density(t) * delay.cumulativeProbability(limit - t),
                                1e-9,
                                d)
                        + (1 - p * delay.cumulativeProbability(d))
                            * 0.4
                            * delay.cumulativeProbability(limit - d))
            .toArray();
    int best = IntStream.range(0, 23).reduce((i, j) -> goal[i] >= goal[j] ? i : j).orElseThrow();

    BetterWays ways =
        Searches.forGoal(
            Searches.plan(journey, people, 4), 40_000, new Leeway.Length(id("d"), 1, 23, 1));
    BetterWays.Better first = ways.better().get(0);
    assertThat(first.verdict()).isTrue();
    int found = Integer.parseInt(first.settings().get(0).level().split(" ")[0]) - 1;
    // Within what so many people can tell apart: half a point.
    assertThat(goal[found]).isGreaterThan(goal[best] - 0.005);
    assertThat(best).isBetween(5, 15);
    double error = Math.sqrt(goal[found] * (1 - goal[found]) / ways.otherPeople());
    assertThat(first.figures().goal().value())
        .isCloseTo(goal[found], org.assertj.core.api.Assertions.within(5 * error));
  }

  /** Two emails that are alike change places: it makes no difference, and none is found. */
  @Test
  void orderWithoutEffectIsNoBetterWay() {
    long found =
        IntStream.range(0, 100)
            .filter(
                seed -> {
                  Journey journey = journey(send("a"), pause("w", 2, TimeUnit.DAYS), send("b"));
                  Behaviour people = behaviour(group(new Keenness(0.4, 0.2), 0), 0.5);
                  BetterWays ways =
                      Searches.forGoal(
                          Searches.plan(journey, people, seed), 1_000, new Leeway.Order(id("a")));
                  return ways.better().stream().anyMatch(BetterWays.Better::verdict);
                })
            .count();
    assertThat(found).isLessThanOrEqualTo(5);
  }
}
