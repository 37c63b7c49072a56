package org.opentrellis.core.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.opentrellis.core.testing.Steps.MESSAGES;
import static org.opentrellis.core.testing.Steps.behaviour;
import static org.opentrellis.core.testing.Steps.branch;
import static org.opentrellis.core.testing.Steps.group;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.opened;
import static org.opentrellis.core.testing.Steps.pause;
import static org.opentrellis.core.testing.Steps.reaction;
import static org.opentrellis.core.testing.Steps.send;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.Effort;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.StepId;

class ComparisonTest {
  private static final Effort EFFORT = Effort.of(2);

  private static final int TABLES = 400;

  /** Five emails, two of them on arms, so that tables have rows of different sizes. */
  private static final Journey JOURNEY =
      journey(
          send("a"),
          pause("w", 1, TimeUnit.DAYS),
          branch("x", opened("a"), null, List.of(send("b")), List.of(send("c"))),
          pause("v", 2, TimeUnit.DAYS),
          send("d"),
          pause("u", 2, TimeUnit.DAYS),
          send("e"));

  private static final Behaviour PEOPLE = behaviour(group(new Keenness(0.4, 0.2), 0.02), 0.3);

  private static ComparedJourney side(
      String name, Journey journey, Behaviour behaviour, int people, long seed) {
    return Sides.of(
        name, journey, MESSAGES, behaviour, CohortSettings.of(people, seed, Sides.START, 30));
  }

  private static List<Judged> verdicts(Comparison comparison) {
    return comparison.table().rows().stream()
        .flatMap(row -> row.cells().stream())
        .filter(Objects::nonNull)
        .map(ComparedTable.ComparedCell::against)
        .filter(Objects::nonNull)
        .toList();
  }

  /**
   * A journey with itself under other seeds. Alone, a comparison calls a difference by chance in
   * 5%; five cells of a table hang together, so their count has a standard error of about 0.7%
   * here, and 3% to 7% is three of them. After Holm at most 5% of tables may call any, and of
   * {@value #TABLES} up to 8.3% lie within three standard errors. Fixed seeds; over 2,000 tables it
   * was 4.9% of comparisons and 5.0% of tables (docs/performance.md).
   */
  @Test
  void aJourneyDiffersFromItselfAsRarelyAsItSays() {
    int cells = 0;
    int single = 0;
    int tables = 0;
    for (int n = 0; n < TABLES; n++) {
      ComparedJourney one = side("one", JOURNEY, PEOPLE, 1_500, 1_000 + n);
      ComparedJourney two = side("two", JOURNEY, PEOPLE, 1_500, 50_000 + n);
      List<Judged> verdicts =
          verdicts(
              Comparison.of(List.of(one, two), 0, LineUp.EMAIL_ORDER, Compared.OPENED, EFFORT));
      cells += verdicts.size();
      single += (int) verdicts.stream().filter(v -> v.pValue() <= 0.05).count();
      tables += verdicts.stream().anyMatch(v -> v.kind() == Judged.Kind.DIFFERENCE) ? 1 : 0;
    }
    System.out.printf(
        "A/A: %.1f%% of %d comparisons, %.1f%% of tables%n",
        100.0 * single / cells, cells, 100.0 * tables / TABLES);
    assertThat(cells).isEqualTo(5 * TABLES);
    assertThat((double) single / cells).isBetween(0.03, 0.07);
    assertThat((double) tables / TABLES).isLessThanOrEqualTo(0.083);
  }

  @Test
  void aJourneyIsTheSameAsItselfWithTheSamePeople() {
    ComparedJourney one = side("one", JOURNEY, PEOPLE, 1_000, 1);
    Comparison same =
        Comparison.of(
            List.of(one, side("two", JOURNEY, PEOPLE, 1_000, 1)),
            0,
            LineUp.STEPS,
            Compared.CLICKED,
            EFFORT);
    assertThat(verdicts(same)).hasSize(5).allMatch(v -> v.points() == 0 && v.paired());
    assertThat(verdicts(same).get(0).sentence()).contains("no difference");
    assertThat(same.wholes().get(1).goal().kind()).isEqualTo(Judged.Kind.COULD_BE_CHANCE);
  }

  /**
   * A known small effect: the last email pulls a fifth more. How many of 60 comparisons find that
   * it is opened more, with the same people in both runs and with different ones. The same people
   * must find it with a third as many at least as often.
   */
  @Test
  void theSamePeopleFindASmallEffectWithAThirdOfThem() {
    Behaviour stronger =
        PEOPLE.edit().emails(Map.of(new StepId("e"), reaction(1.2, 0.3, 0.005))).done();
    int paired = 0;
    int unpaired = 0;
    for (int n = 0; n < 60; n++) {
      paired += finds(PEOPLE, stronger, 800, 100 + n, 100 + n) ? 1 : 0;
      unpaired += finds(PEOPLE, stronger, 2_400, 100 + n, 900 + n) ? 1 : 0;
    }
    System.out.printf("A/B: %d of 60 paired with 800, %d unpaired with 2,400%n", paired, unpaired);
    assertThat(paired).isGreaterThanOrEqualTo(unpaired);
    assertThat(paired).isGreaterThan(45);
    assertThat(unpaired).isBetween(10, 59);
  }

  private static boolean finds(Behaviour one, Behaviour two, int people, long seed, long other) {
    ComparedJourney base = side("as it is", JOURNEY, one, people, seed);
    ComparedJourney now = side("stronger", JOURNEY, two, people, other);
    ComparedTable table =
        Comparison.of(List.of(base, now), 0, LineUp.STEPS, Compared.OPENED, EFFORT).table();
    Judged last = table.rows().get(table.rows().size() - 1).cells().get(1).against();
    return last.pValue() <= 0.05 && last.points() > 0;
  }

  @Test
  void messagesAreLinedUpInEveryWay() {
    Journey other = journey(send("a"), pause("w", 1, TimeUnit.DAYS), send("late"));
    List<ComparedJourney> sides =
        List.of(side("one", JOURNEY, PEOPLE, 500, 1), side("two", other, PEOPLE, 500, 1));
    assertThat(labels(sides, LineUp.EMAIL_ORDER))
        .containsExactly("1st", "2nd", "3rd", "4th", "5th");
    assertThat(labels(sides, LineUp.DAYS)).startsWith("day 0", "day 1");
    assertThat(labels(sides, LineUp.STEPS)).containsExactly("a", "b", "c", "d", "e", "late");
    assertThat(labels(sides, LineUp.MESSAGE)).hasSize(5);
  }

  private static List<String> labels(List<ComparedJourney> sides, LineUp lineUp) {
    return Comparison.of(sides, 0, lineUp, Compared.OPENED, EFFORT).table().rows().stream()
        .map(ComparedTable.ComparedRow::label)
        .toList();
  }

  @Test
  void aMessagesChangeIsFromTheOneBeforeInTheSameRun() {
    ComparedJourney one = side("one", JOURNEY, PEOPLE, 500, 1);
    var rows =
        Comparison.of(
                List.of(one, side("two", JOURNEY, PEOPLE, 500, 2)),
                0,
                LineUp.EMAIL_ORDER,
                Compared.OPENED,
                EFFORT)
            .table()
            .rows();
    ComparedTable.ComparedCell first = rows.get(0).cells().get(0);
    ComparedTable.ComparedCell second = rows.get(1).cells().get(0);
    assertThat(first.before()).isNull();
    assertThat(second.before()).isEqualTo(second.share().value() - first.share().value());
  }

  /** The number of people proposed would settle it: with so many it is called a difference. */
  @Test
  void morePeopleSettleWhatTheySaid() {
    Behaviour stronger = PEOPLE.edit().usual(reaction(1.06, 0.3, 0.005)).done();
    ComparedJourney base = side("one", JOURNEY, PEOPLE, 3_000, 1);
    ComparedJourney now = side("two", JOURNEY, stronger, 3_000, 77);
    List<Judged> open =
        verdicts(Comparison.of(List.of(base, now), 0, LineUp.STEPS, Compared.OPENED, EFFORT))
            .stream()
            .filter(v -> v.kind() == Judged.Kind.TOO_FEW)
            .toList();
    assertThat(open).isNotEmpty().allMatch(v -> v.morePeople() > 0);
    assertThat(open.get(0).sentence())
        .contains("Too few people to tell")
        .contains("more would settle it");
  }

  @Test
  void whatStandsOutIsFoundByRulesWithFigures() {
    Journey again =
        journey(
            send("a"),
            pause("w", 2, TimeUnit.DAYS),
            branch("x", opened("a"), null, List.of(), List.of(send("b"))),
            pause("v", 2, TimeUnit.DAYS),
            send("c"));
    Behaviour fading =
        PEOPLE.edit().fading(org.opentrellis.core.behaviour.Assumed.byHand(0.6)).done();
    List<StandOut> found =
        Comparison.of(
                List.of(
                    side("again", again, PEOPLE, 3_000, 1),
                    side("fading", JOURNEY, fading, 3_000, 1)),
                0,
                LineUp.EMAIL_ORDER,
                Compared.OPENED,
                EFFORT)
            .standsOut();
    assertThat(found)
        .extracting(StandOut::rule)
        .contains("second-try-lifts", "goal-against-baseline");
    StandOut lift =
        found.stream()
            .filter(one -> one.rule().equals("second-try-lifts"))
            .findFirst()
            .orElseThrow();
    assertThat(lift.text())
        .matches(
            "\u201cagain\u201d: trying .* from \\d+\\.\\d% to \\d+\\.\\d%, for 0\\.\\d\\d more emails each\\.");
    assertThat(lift.step()).isEqualTo("b");
    List<Double> weights = new ArrayList<>(found.stream().map(StandOut::weight).toList());
    assertThat(weights).isSortedAccordingTo(java.util.Comparator.reverseOrder());
  }

  /** However many they are: the difference beside two shares is of the people that they are of. */
  @Test
  void everybodyIsPairedWhoIsCounted() {
    Journey short_ = journey(send("a"));
    Behaviour stronger =
        PEOPLE.edit().emails(Map.of(new StepId("a"), reaction(1.02, 0.3, 0.005))).done();
    ComparedJourney base = side("as it is", short_, PEOPLE, 250_000, 1);
    ComparedJourney now = side("stronger", short_, stronger, 250_000, 1);
    ComparedTable.ComparedRow row =
        Comparison.of(List.of(base, now), 0, LineUp.STEPS, Compared.OPENED, EFFORT)
            .table()
            .rows()
            .get(0);
    ComparedTable.ComparedCell then = row.cells().get(0);
    ComparedTable.ComparedCell cell = row.cells().get(1);
    assertThat(cell.against().paired()).isTrue();
    assertThat(cell.against().points())
        .isCloseTo(cell.share().value() - then.share().value(), within(1e-12))
        .isPositive();
  }

  @Test
  void twoToSixAreCompared() {
    ComparedJourney one = side("one", JOURNEY, PEOPLE, 50, 1);
    assertThatThrownBy(() -> Comparison.of(List.of(one), 0, LineUp.STEPS, Compared.OPENED, EFFORT))
        .hasMessageContaining("two to 6 runs");
    List<ComparedJourney> seven = IntStream.range(0, 7).mapToObj(n -> one).toList();
    assertThatThrownBy(() -> Comparison.of(seven, 0, LineUp.STEPS, Compared.OPENED, EFFORT))
        .hasMessageContaining("two to 6 runs");
  }
}
