package org.opentrellis.core.search;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.opentrellis.core.testing.Steps.behaviour;
import static org.opentrellis.core.testing.Steps.group;
import static org.opentrellis.core.testing.Steps.id;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.pause;
import static org.opentrellis.core.testing.Steps.reaction;
import static org.opentrellis.core.testing.Steps.send;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.dryrun.RunCancelled;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.vary.VariedRun;

/** Races over more variations than can all be tried. */
class RaceTest {
  private static final Behaviour PEOPLE =
      behaviour(group(new Keenness(0.4, 0.2), 0), 0.6)
          .edit()
          .emails(Map.of(id("dull"), reaction(0.02, 0, 0.2)))
          .done();

  /** Three emails with waits in between; the second brings nothing and drives people away. */
  private static final Journey JOURNEY =
      journey(
          send("a"),
          pause("w1", 2, TimeUnit.DAYS),
          send("dull"),
          pause("w2", 2, TimeUnit.DAYS),
          send("b"),
          pause("w3", 9, TimeUnit.DAYS));

  private static final Leeway[] MANY = {
    new Leeway.Length(id("w1"), 1, 9, 1),
    new Leeway.Length(id("w2"), 1, 9, 1),
    new Leeway.Length(id("w3"), 5, 13, 1),
    new Leeway.Tries(id("a"), 0, 2),
    new Leeway.Tries(id("b"), 0, 2),
    new Leeway.Absence(id("dull"))
  };

  private static VariedRun plan() {
    return Searches.plan(JOURNEY, PEOPLE, 7);
  }

  private static SearchPlan search(Wanted wanted, Limits limits) {
    return new SearchPlan(plan(), new SearchWish(List.of(MANY), wanted, limits, 4_000));
  }

  /**
   * More tries of what sells are found among 13,122 combinations, and what changes nothing is not.
   */
  @Test
  void whatHelpsIsFoundAndWhatDoesNotIsLeft() {
    BetterWays ways = Search.of(search(Wanted.goal(), Limits.NONE), SearchWatch.NONE);
    assertThat(ways.size().combinations()).isEqualTo(9L * 9 * 9 * 3 * 3 * 2);
    BetterWays.Better first = ways.better().get(0);
    assertThat(first.verdict()).isTrue();
    assertThat(first.settings())
        .contains(new Setting("tries:a", "2"), new Setting("tries:b", "2"))
        .doesNotContain(new Setting("absence:dull", "as-is"));
    assertThat(first.changes()).hasSizeLessThan(5);
    assertThat(first.elsewhere()).hasSize(ways.doubts());
    assertThat(first.won()).isGreaterThan(ways.doubts() * 3 / 4);
    assertThat(first.sentence()).contains("10,000 other people", "other worlds");
    assertThat(ways.sentence()).contains("better than today, and not by chance");
    // Everything that was tried says what became of it, and one of them is today's.
    assertThat(ways.tried())
        .hasSizeBetween(150, 400)
        .noneMatch(one -> one.fate().isBlank())
        .noneMatch(one -> one.fate().contains(" 0.0 points"));
    assertThat(ways.tried()).filteredOn(one -> one.changes().isEmpty()).hasSize(1);
    assertThat(ways.tried()).anyMatch(one -> one.fate().startsWith("Dropped with"));
  }

  /** An email that nobody opens goes, the goal stays. */
  @Test
  void fewerEmailsAtTheSameGoal() {
    BetterWays ways =
        Search.of(
            search(new Wanted(Wanted.What.FEWER_EMAILS, 0, 0.01), Limits.NONE), SearchWatch.NONE);
    BetterWays.Better first = ways.better().get(0);
    assertThat(first.verdict()).isTrue();
    assertThat(first.settings()).contains(new Setting("absence:dull", "without"));
    assertThat(first.goalDifference().low()).isGreaterThan(-0.01);
    assertThat(first.difference().points()).isGreaterThan(0.8);
  }

  @Test
  void limitsHold() {
    Limits limits = new Limits(Optional.empty(), Optional.of(2), Optional.empty());
    BetterWays ways = Search.of(search(Wanted.goal(), limits), SearchWatch.NONE);
    assertThat(ways.better())
        .filteredOn(BetterWays.Better::verdict)
        .isNotEmpty()
        .allMatch(one -> one.figures().mostInAWeek() <= 2);
    assertThat(ways.tried())
        .anyMatch(one -> one.fate().contains("emails within a week, the limit is 2"));
  }

  /** Whoever has seen enough keeps the best so far, judged like any other. */
  @Test
  void enoughKeepsTheBestSoFar() {
    List<SearchWatch.Best> told = new ArrayList<>();
    SearchWatch watch =
        new SearchWatch() {
          @Override
          public void reached(int people) {}

          @Override
          public boolean enough() {
            return told.size() > 100;
          }

          @Override
          public synchronized void best(Best best) {
            told.add(best);
          }
        };
    BetterWays ways = Search.of(search(Wanted.goal(), Limits.NONE), watch);
    assertThat(ways.stopped()).isTrue();
    assertThat(ways.people()).isLessThan(4_000);
    assertThat(ways.better()).anyMatch(BetterWays.Better::verdict);
    SearchWatch.Best last = told.get(told.size() - 1);
    assertThat(last.changes()).isNotEmpty();
    assertThat(last.ahead().points()).isPositive();
    assertThat(last.tried()).isLessThan(150);
  }

  @Test
  void itCanBeStoppedAtOnce() {
    AtomicInteger runs = new AtomicInteger();
    SearchWatch watch =
        new SearchWatch() {
          @Override
          public void reached(int people) {
            if (runs.incrementAndGet() > 20) {
              throw new RunCancelled();
            }
          }

          @Override
          public boolean enough() {
            return false;
          }

          @Override
          public void best(Best best) {}
        };
    assertThatThrownBy(() -> Search.of(search(Wanted.goal(), Limits.NONE), watch))
        .isInstanceOf(RunCancelled.class);
  }

  /** The same search gives the same figures, however its threads are lucky. */
  @Test
  void twiceTheSameIsTheSame() {
    SearchPlan search =
        new SearchPlan(
            plan(),
            new SearchWish(
                List.of(new Leeway.Length(id("w1"), 1, 9, 1), new Leeway.Tries(id("a"), 0, 2)),
                Wanted.goal(),
                Limits.NONE,
                1_000));
    assertThat(Search.of(search, SearchWatch.NONE)).isEqualTo(Search.of(search, SearchWatch.NONE));
  }

  @Test
  void whatCannotVaryIsRefused() {
    assertThatThrownBy(() -> Searches.forGoal(plan(), 1_000, new Leeway.Tries(id("w1"), 0, 2)))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("step w1 sends no email");
    assertThatThrownBy(() -> Searches.forGoal(plan(), 1_000, new Leeway.Order(id("b"))))
        .hasMessageContaining("no email follows step b directly");
    assertThatThrownBy(() -> Searches.forGoal(plan(), 1_000))
        .hasMessageContaining("nothing varies");
    assertThatThrownBy(
            () ->
                Searches.forGoal(
                    plan(), 1_000, new Leeway.Order(id("a")), new Leeway.Order(id("a"))))
        .hasMessageContaining("is to vary twice");
    assertThatThrownBy(() -> new Leeway.Length(id("w1"), 1, 9999, 1))
        .hasMessageContaining("at most 250 values");
  }
}
