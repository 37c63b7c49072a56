package org.opentrellis.core.arrange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.opentrellis.core.testing.Steps.MESSAGES;
import static org.opentrellis.core.testing.Steps.branch;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.opened;
import static org.opentrellis.core.testing.Steps.send;
import static org.opentrellis.core.testing.Steps.split;
import static org.opentrellis.core.testing.Steps.tag;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.opentrellis.core.journey.Arm;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Otherwise;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.testing.RandomJourneys;
import org.opentrellis.core.testing.Steps;

/** Journeys in one line: {@code a b[c|d] e} is a branch b with two ways between a and e. */
class ArrangingTest {
  private static final Journey JOURNEY =
      journey(
          send("a"),
          tag("t", "keeper"),
          branch("b", opened("a"), null, List.of(tag("c", "x")), List.of(send("d"), tag("e", "y"))),
          tag("f", "z"));

  private static Arranging arranging() {
    return new Arranging(JOURNEY, Steps.MESSAGES);
  }

  private static String line(List<Step> steps) {
    return steps.stream().map(ArrangingTest::line).collect(Collectors.joining(" "));
  }

  private static String line(Step step) {
    String ways =
        step.ways().stream().map(way -> line(way.steps())).collect(Collectors.joining("|"));
    return step.id() + (step.ways().isEmpty() ? "" : "[" + ways + "]");
  }

  private static String done(Arranged arranged) {
    assertThat(arranged).isInstanceOf(Arranged.Done.class);
    return line(((Arranged.Done) arranged).journey().body());
  }

  private static String why(Arranged arranged) {
    assertThat(arranged).isInstanceOf(Arranged.Refused.class);
    return ((Arranged.Refused) arranged).why();
  }

  private static Set<String> rows(String some) {
    return Set.of(some.split("\\+"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "t; up; t a b[c|d e] f",
        "t; down; a b[t c|d e] f",
        "a+t; up; a t b[c|d e] f",
        "f; up; a t b[c|d e f]",
        "f; down; a t b[c|d e] f",
        "c; up; a t c b[|d e] f",
        "c; down; a t b[|c d e] f",
        "d; up; a t b[c d|e] f",
        "d+e; up; a t b[c d e|] f",
        "e; down; a t b[c|d] e f",
        "f; in; a t b[c|d e f]",
        "d+e; out; a t b[c|] d e f",
        "c+e; down; a t f b[c|d e]",
        "c+f; up; a b[c|d e] f t",
      })
  void stepsMoveByOnePlace(String chosen, String how, String after) {
    Arranged arranged =
        switch (how) {
          case "up" -> arranging().up(rows(chosen));
          case "down" -> arranging().down(rows(chosen));
          case "in" -> arranging().in(rows(chosen));
          default -> arranging().out(rows(chosen));
        };
    assertThat(done(arranged)).isEqualTo(after);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "f; journey; f a t b[c|d e]",
        "f; b-a; a t b[f c|d e]",
        "d+e; t; a t d e b[c|] f",
        "t; t; a t b[c|d e] f",
        "t; a; a t b[c|d e] f",
        "a+t; t; a t b[c|d e] f",
      })
  void stepsMoveToWhereTheyAreDropped(String chosen, String below, String after) {
    assertThat(done(arranging().move(rows(chosen), below))).isEqualTo(after);
  }

  @Test
  void noQuestionLosesItsEmail() {
    assertThat(why(arranging().down(rows("a+t"))))
        .isEqualTo(
            "Then \u201cBranch on opened the 1st \u201cHello\u201d\u201d would ask about \u201cHello\u201d, "
                + "which would not have been sent above it.");
    assertThat(why(arranging().move(rows("b"), "journey"))).startsWith("Then \u201cBranch on");
    assertThat(why(arranging().paste(List.of(tag("new", "n"), asksFor("elsewhere")), "f")))
        .contains("asks about an email that is not in this journey");
  }

  @Test
  void whatCannotBeMovedSaysWhy() {
    assertThat(why(arranging().move(rows("b"), "d"))).contains("into itself");
    assertThat(why(arranging().in(rows("t")))).contains("no branch right above");
    assertThat(why(arranging().out(rows("t")))).contains("in no branch");
    assertThat(why(arranging().up(rows("gone")))).contains("not in the journey any more");
    assertThat(why(arranging().up(rows("strand/x")))).contains("belong to a strand");
  }

  @Test
  void armsChangePlacesAndEverybodyElseStaysLast() {
    Step.Branch two =
        new Step.Branch(
            Steps.id("two"),
            java.util.Optional.empty(),
            List.of(
                new Arm(Steps.id("one"), Steps.hasTag("x"), List.of(tag("p", "p"))),
                new Arm(Steps.id("other"), Steps.hasTag("y"), List.of(tag("q", "q")))),
            new Otherwise(Steps.id("rest"), List.of()));
    Arranging arms = new Arranging(journey(two, split("s", 50, List.of(), List.of())), MESSAGES);
    assertThat(done(arms.down(rows("one")))).isEqualTo("two[q|p|] s[|]");
    assertThat(done(arms.up(rows("other")))).isEqualTo("two[q|p|] s[|]");
    assertThat(done(arms.up(rows("one")))).isEqualTo("two[p|q|] s[|]");
    assertThat(why(arms.down(rows("other")))).contains("Everybody else comes last");
    assertThat(why(arms.up(rows("rest")))).contains("Everybody else comes last");
    Arranged.Done swapped = (Arranged.Done) arms.down(rows("s-a"));
    assertThat(swapped.journey().only(Step.SplitTest.class).get(0).arms().get(0).id())
        .isEqualTo(Steps.id("s-b"));
  }

  private static final org.opentrellis.core.journey.Catalogue MESSAGES = Steps.MESSAGES;

  private static Step asksFor(String email) {
    return branch("asks", opened(email), null, List.of(), List.of());
  }

  @Test
  void copiesAskOfEachOther() {
    Arranged.Done copied = (Arranged.Done) arranging().duplicate(rows("a+b"));
    assertThat(line(copied.journey().body())).isEqualTo("a t b[c|d e] a-1 t-1 b-1[c-1|d-1 e-1] f");
    Step.Branch branch = (Step.Branch) copied.steps().get(2);
    assertThat(branch.arms().get(0).condition()).isEqualTo(opened("a-1"));
    Arranged.Done alone = (Arranged.Done) arranging().duplicate(rows("b"));
    assertThat(((Step.Branch) alone.steps().get(0)).arms().get(0).condition())
        .isEqualTo(opened("a"));
  }

  @Test
  void whatIsTakenOutIsGivenBack() {
    Arranged.Done taken = (Arranged.Done) arranging().remove(rows("b+f"));
    assertThat(line(taken.journey().body())).isEqualTo("a t");
    assertThat(line(taken.steps())).isEqualTo("b[c|d e] f");
    assertThat(done(new Arranging(taken.journey(), Steps.MESSAGES).paste(taken.steps(), "t")))
        .isEqualTo(line(JOURNEY.body()));
    assertThat(done(arranging().copy(rows("d")))).isEqualTo(line(JOURNEY.body()));
  }

  /** Whatever is moved, no step is lost and no question loses its email. */
  @Test
  void movesKeepEveryStep() {
    int moved = 0;
    for (int seed = 1; seed <= 60; seed++) {
      Random random = new Random(seed);
      Journey journey = RandomJourneys.journey(seed, 25);
      for (int i = 0; i < 10; i++) {
        List<String> all = new ArrayList<>();
        journey.steps().flatMap(Step::ids).map(StepId::value).forEach(all::add);
        Set<String> chosen = Set.of(all.get(random.nextInt(all.size())));
        Arranging arranging = new Arranging(journey, RandomJourneys.CATALOGUE);
        Arranged arranged =
            switch (random.nextInt(5)) {
              case 0 -> arranging.up(chosen);
              case 1 -> arranging.down(chosen);
              case 2 -> arranging.in(chosen);
              case 3 -> arranging.out(chosen);
              default -> arranging.move(chosen, all.get(random.nextInt(all.size())));
            };
        if (arranged instanceof Arranged.Done done && !done.journey().equals(journey)) {
          assertThat(ownSteps(done.journey())).isEqualTo(ownSteps(journey));
          assertThat(unanswered(journey)).containsAll(unanswered(done.journey()));
          journey = done.journey();
          moved++;
        }
      }
    }
    assertThat(moved).isGreaterThan(150);
  }

  private static Set<StepId> ownSteps(Journey journey) {
    return journey.steps().map(Step::id).collect(Collectors.toSet());
  }

  /** Looked up by walking every way alone, not by what the class under test uses. */
  private static Set<String> unanswered(Journey journey) {
    Set<String> found = new java.util.HashSet<>();
    unanswered(journey.body(), Set.of(), found);
    return found;
  }

  private static Set<StepId> unanswered(List<Step> steps, Set<StepId> before, Set<String> found) {
    Set<StepId> sent = new java.util.HashSet<>(before);
    for (Step step : steps) {
      step.conditions().stream()
          .flatMap(Condition::all)
          .filter(Condition.AboutEmail.class::isInstance)
          .flatMap(one -> ((Condition.AboutEmail) one).step().stream())
          .filter(email -> !sent.contains(email))
          .forEach(email -> found.add(step.id() + " asks about " + email));
      if (step instanceof Step.Send) {
        sent.add(step.id());
      }
      Set<StepId> inside = Set.copyOf(sent);
      step.ways().forEach(way -> sent.addAll(unanswered(way.steps(), inside, found)));
    }
    return sent;
  }
}
