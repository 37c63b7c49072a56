package org.opentrellis.core.machine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.opentrellis.core.testing.Steps.MESSAGES;
import static org.opentrellis.core.testing.Steps.branch;
import static org.opentrellis.core.testing.Steps.finish;
import static org.opentrellis.core.testing.Steps.id;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.opened;
import static org.opentrellis.core.testing.Steps.openedByPeople;
import static org.opentrellis.core.testing.Steps.pause;
import static org.opentrellis.core.testing.Steps.send;
import static org.opentrellis.core.testing.Steps.tag;
import static org.opentrellis.core.testing.Steps.waits;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.SendWindow;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.FrequencyGuard;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.Operator;
import org.opentrellis.core.journey.RecordChange;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.journey.WaitRule;
import org.opentrellis.core.testing.Steps;

/** The machine on scripted evidence: what each step does, and who comes first at one instant. */
class JourneyMachineTest {
  private static final long HOUR = 3_600;
  private static final Amount A_DAY = Amount.of(1, TimeUnit.DAYS);

  /** Runs one person from time 0 with hours as time; tells what happened, a line each. */
  private static List<String> run(Journey journey, Consumer<Sent> evidence, long endHours) {
    ZoneClock clock = ZoneClock.around(ZoneOffset.UTC, Instant.EPOCH, 100);
    World world = World.compile(List.of(journey), MESSAGES, List.of());
    Story story = new Story(world.programs().get(0));
    Outside outside =
        new Outside() {
          @Override
          public int lot(int step, double[] ways, Visit visit) {
            return 0;
          }

          @Override
          public void send(Sent message) {
            evidence.accept(message);
          }
        };
    JourneyMachine machine = new JourneyMachine(outside, story);
    Person person = world.newPerson(clock);
    person.comes(0, 0, 0);
    machine.run(person, endHours * HOUR);
    machine.close(person);
    return story.lines;
  }

  private static final class Story implements Witness {
    private final Program program;
    private final List<String> lines = new ArrayList<>();

    Story(Program program) {
      this.program = program;
    }

    private void write(String what, int step, Visit visit) {
      String name = program.steps().get(step).id().value();
      lines.add("%s %s %sh".formatted(what, name, visit.now() / (double) HOUR));
    }

    @Override
    public void passed(int step, Visit visit) {
      write("passed", step, visit);
    }

    @Override
    public void took(int step, int way, Visit visit) {
      lines.add("took arm " + way);
    }

    @Override
    public void skipped(int step, SkipReason reason, Visit visit) {
      write("skipped for " + reason, step, visit);
    }

    @Override
    public void held(int step, long seconds, Visit visit) {
      write("held " + seconds / HOUR + "h", step, visit);
    }

    @Override
    public void left(int step, LeaveReason reason, Visit visit) {
      write("left for " + reason + " at", step, visit);
    }

    @Override
    public void finished(int step, Visit visit) {
      lines.add("finished");
    }

    @Override
    public void waiting(int step, Visit visit) {
      write("waiting at", step, visit);
    }
  }

  @Test
  void anOpenAtExactlyTheDeadlineCounts() {
    Journey journey = journey(send("a"), branch("b", opened("a"), A_DAY, List.of(), List.of()));
    assertThat(run(journey, email -> email.opens(24 * HOUR), 100))
        .containsExactly("passed a 0.0h", "took arm 0", "passed b 24.0h", "finished");
    assertThat(run(journey, email -> email.opens(24 * HOUR + 1), 100))
        .containsExactly("passed a 0.0h", "took arm 1", "passed b 24.0h", "finished");
  }

  /** Reached at noon, the second email leaves at nine on the next day; so much is known then. */
  @Test
  void whoGetsAMessageIsAskedWhenItLeaves() {
    Step.SendEmail second = send("b").edit().onlyIf(Optional.of(opened("a"))).done();
    Journey journey =
        journey(send("a"), pause("w", 3, TimeUnit.HOURS), second)
            .edit()
            .sendWindow(
                Optional.of(
                    new SendWindow(
                        EnumSet.allOf(DayOfWeek.class), LocalTime.of(9, 0), LocalTime.of(10, 0))))
            .done();
    assertThat(run(journey, email -> email.opens(20 * HOUR), 100))
        .contains("held 21h b 33.0h", "passed b 33.0h");
    assertThat(run(journey, email -> email.opens(34 * HOUR), 100))
        .contains("skipped for CONDITION b 33.0h");
    Journey guarded =
        journey
            .edit()
            .frequencyGuard(Optional.of(new FrequencyGuard(1, 1, FrequencyGuard.Then.SKIP, false)))
            .body(List.of(send("a"), pause("w", 3, TimeUnit.HOURS), send("b")))
            .done();
    assertThat(run(guarded, email -> {}, 100)).contains("held 21h b 33.0h");
  }

  @Test
  void aBranchThatWaitsLeavesAsSoonAsAnArmHolds() {
    Journey journey =
        journey(send("a"), branch("b", opened("a"), A_DAY, List.of(tag("t", "x")), List.of()));
    assertThat(run(journey, email -> email.opens(5 * HOUR), 100))
        .containsExactly(
            "passed a 0.0h", "took arm 0", "passed b 5.0h", "passed t 5.0h", "finished");
  }

  @Test
  void aNegatedQuestionHoldsUntilItsEvidenceComes() {
    Condition notOpened = new Condition.None(List.of(opened("a")));
    Journey journey =
        journey(
            send("a"),
            pause("w", 2, TimeUnit.HOURS),
            branch("b", notOpened, A_DAY, List.of(), List.of()));
    assertThat(run(journey, email -> email.opens(1 * HOUR), 100))
        .contains("took arm 1", "passed b 26.0h");
    assertThat(run(journey, email -> email.opens(3 * HOUR), 100))
        .contains("took arm 0", "passed b 2.0h");
  }

  @Test
  void peopleOnlyLeavesOutMachineOpens() {
    Condition byPeople = openedByPeople("a");
    Journey journey = journey(send("a"), branch("b", byPeople, A_DAY, List.of(), List.of()));
    assertThat(run(journey, email -> email.recordsOpen(HOUR), 100)).contains("took arm 1");
    assertThat(run(journey, email -> email.opens(HOUR), 100))
        .contains("took arm 0", "passed b 1.0h");
  }

  @Test
  void whoBuysAtTheVeryMomentAWaitEndsHasLeft() {
    Journey journey = journey(send("a"), pause("w", 1, TimeUnit.DAYS), send("b"));
    assertThat(run(journey, email -> email.visit().person().buys(24 * HOUR, -1, 100), 100))
        .containsExactly("passed a 0.0h", "left for GOAL_MET at w 24.0h");
  }

  @Test
  void aPurchaseAfterTheGoalsLimitIsNotTheGoal() {
    Journey journey =
        journey(
            Optional.of(Goal.bought(1, true)), send("a"), pause("w", 2, TimeUnit.DAYS), send("b"));
    assertThat(run(journey, email -> email.visit().person().buys(24 * HOUR + 1, -1, 100), 100))
        .contains("finished");
    assertThat(run(journey, email -> email.visit().person().buys(24 * HOUR, -1, 100), 100))
        .contains("left for GOAL_MET at w 24.0h");
  }

  @Test
  void whoMayStayAfterTheGoalStays() {
    Journey journey =
        journey(
            Optional.of(Goal.bought(9, false)), send("a"), pause("w", 2, TimeUnit.DAYS), send("b"));
    assertThat(run(journey, email -> email.visit().person().buys(HOUR, -1, 100), 100))
        .contains("finished");
  }

  @Test
  void theEarliestReasonToLeaveCounts() {
    Journey journey = journey(send("a"), pause("w", 2, TimeUnit.DAYS), send("b"));
    Consumer<Sent> both =
        email -> {
          email.visit().person().unsubscribes(3 * HOUR);
          email.visit().person().buys(4 * HOUR, -1, 100);
        };
    assertThat(run(journey, both, 100)).contains("left for UNSUBSCRIBED at w 3.0h");
  }

  @Test
  void aDeadAddressLeavesAtTheSend() {
    Journey journey = journey(send("a"), pause("w", 2, TimeUnit.DAYS));
    assertThat(run(journey, email -> email.visit().person().bouncesForGood(email.at()), 100))
        .containsExactly("left for BOUNCED at a 0.0h");
  }

  @Test
  void whoIsNotThroughAtTheEndIsWaiting() {
    Journey journey = journey(send("a"), pause("w", 2, TimeUnit.DAYS), send("b"));
    assertThat(run(journey, email -> {}, 47)).containsExactly("passed a 0.0h", "waiting at w 0.0h");
    assertThat(run(journey, email -> {}, 48)).contains("finished");
  }

  @Test
  void changesAreSeenByLaterQuestions() {
    Step move =
        new Step.Change(
            id("m"),
            List.of(
                new RecordChange.JoinList(new ListName("Old")),
                new RecordChange.MoveToList(new ListName("New"), List.of(new ListName("Old"))),
                new RecordChange.AddTag(new TagName("t")),
                new RecordChange.RemoveTag(new TagName("t"))));
    Condition moved =
        new Condition.All(
            List.of(
                new Condition.OnList(new ListName("New")),
                new Condition.None(
                    List.of(
                        new Condition.OnList(new ListName("Old")),
                        new Condition.HasTag(new TagName("t"))))));
    Journey journey = journey(move, branch("b", moved, null, List.of(finish("f")), List.of()));
    assertThat(run(journey, email -> {}, 1)).contains("took arm 0", "passed f 0.0h");
  }

  @Test
  void afterTheArmsEveryoneGoesOnBehindTheBranch() {
    Journey journey =
        journey(
            send("a"),
            branch("b", opened("a"), null, List.of(tag("t", "x")), List.of(finish("f"))),
            send("c"));
    assertThat(run(journey, email -> email.opens(0), 1))
        .containsExactly(
            "passed a 0.0h",
            "took arm 0",
            "passed b 0.0h",
            "passed t 0.0h",
            "passed c 0.0h",
            "finished");
    assertThat(run(journey, email -> {}, 1))
        .containsExactly(
            "passed a 0.0h", "took arm 1", "passed b 0.0h", "passed f 0.0h", "finished");
  }

  @Test
  void aQuestionAboutAMissingEmailNeverHolds() {
    Journey journey = journey(branch("b", opened("gone"), A_DAY, List.of(), List.of()));
    assertThat(run(journey, email -> {}, 100)).contains("took arm 1", "passed b 24.0h");
  }

  /** From Thursday, 1 January 1970: Saturday the 10th; Friday the 30th; Monday, 2 February. */
  @Test
  void aWaitForAWeekdayOfTheMonth() {
    assertThat(nth(2, DayOfWeek.SATURDAY)).isEqualTo(9 * 24 + 9);
    assertThat(nth(WaitRule.UntilNthWeekday.LAST, DayOfWeek.FRIDAY)).isEqualTo(29 * 24 + 9);
    assertThat(nth(1, DayOfWeek.THURSDAY)).isEqualTo(9);
    Journey twice =
        journey(
            waits("w", new WaitRule.UntilNthWeekday(1, DayOfWeek.THURSDAY, LocalTime.of(0, 0))),
            pause("p", 1, TimeUnit.HOURS),
            waits("x", new WaitRule.UntilNthWeekday(1, DayOfWeek.MONDAY, LocalTime.of(0, 0))),
            waits("y", new WaitRule.UntilNthWeekday(1, DayOfWeek.MONDAY, LocalTime.of(9, 0))));
    assertThat(run(twice, email -> {}, 2_000))
        .containsExactly(
            "passed w 0.0h", "passed p 1.0h", "passed x 96.0h", "passed y 105.0h", "finished");
    Journey past =
        journey(
            pause("p", 40, TimeUnit.DAYS),
            waits("w", new WaitRule.UntilNthWeekday(1, DayOfWeek.MONDAY, LocalTime.of(9, 0))));
    // 10 February is behind the first Monday, the 2nd; so it is 2 March.
    assertThat(run(past, email -> {}, 2_000)).contains("passed w " + (60 * 24 + 9) + ".0h");
  }

  private static double nth(int nth, DayOfWeek day) {
    Journey journey =
        journey(waits("w", new WaitRule.UntilNthWeekday(nth, day, LocalTime.of(9, 0))));
    String line = run(journey, email -> {}, 2_000).get(0);
    return Double.parseDouble(line.replaceAll("passed w |h", ""));
  }

  /** Thursday night is outside; a branch that waits goes on when it opens. */
  @Test
  void aQuestionAboutTheHourIsAskedAsTimeGoesOn() {
    Condition working =
        new Condition.IsNow(
            new SendWindow(EnumSet.of(DayOfWeek.FRIDAY), LocalTime.of(9, 0), LocalTime.of(17, 0)));
    Journey waits =
        journey(branch("b", working, Amount.of(5, TimeUnit.DAYS), List.of(), List.of()));
    assertThat(run(waits, email -> {}, 200)).contains("took arm 0", "passed b 33.0h");
    Condition not = new Condition.None(List.of(working));
    Journey closes =
        journey(
            pause("p", 34, TimeUnit.HOURS),
            branch("b", not, Amount.of(5, TimeUnit.DAYS), List.of(), List.of()));
    assertThat(run(closes, email -> {}, 200)).contains("took arm 0", "passed b 41.0h");
  }

  @Test
  void someOfTheLastEmailsAreCounted() {
    Journey journey =
        journey(
            send("a"),
            send("b"),
            send("c"),
            branch(
                "x",
                new Condition.OftenOpened(2, 3, true),
                Amount.of(1, TimeUnit.DAYS),
                List.of(),
                List.of()),
            branch("y", new Condition.OftenOpened(2, 2, true), null, List.of(), List.of()),
            branch("z", new Condition.OftenClicked(1, 3), null, List.of(), List.of()));
    Consumer<Sent> opensFirstAndLast =
        email -> {
          if (email.send() != 1) {
            email.opens(email.at() + (email.send() + 1) * HOUR);
          }
        };
    assertThat(run(journey, opensFirstAndLast, 100))
        .containsSubsequence("took arm 0", "passed x 3.0h", "took arm 1", "took arm 1");
  }

  @Test
  void aFieldIsComparedWithAnotherAndTakesItsValue() {
    FieldName has = new FieldName("hives");
    FieldName wants = new FieldName("wanted");
    Condition fewer =
        new Condition.Field(has, Operator.LESS, List.of(new Operand.OtherField(wants)));
    Step copy =
        new Step.Change(
            id("copy"), List.of(new RecordChange.SetField(has, new Operand.OtherField(wants))));
    Step set =
        new Step.Change(
            id("set"),
            List.of(
                new RecordChange.SetField(has, new Operand.Number(2)),
                new RecordChange.SetField(wants, new Operand.Number(3))));
    Journey journey =
        journey(
            branch("empty", fewer, null, List.of(), List.of()),
            set,
            branch("fewer", fewer, null, List.of(), List.of()),
            copy,
            branch("same", fewer, null, List.of(), List.of()));
    assertThat(run(journey, email -> {}, 100))
        .containsSubsequence("took arm 1", "passed set 0.0h", "took arm 0", "took arm 1");
  }

  @Test
  void aGuardThatCountsTextsHoldsThem() {
    Step text =
        new Step.SendText(id("t"), Steps.MESSAGE, Optional.empty(), false, Optional.empty());
    Journey journey = journey(send("a"), pause("w", 1, TimeUnit.HOURS), text);
    for (boolean counts : List.of(true, false)) {
      FrequencyGuard guard = new FrequencyGuard(1, 1, FrequencyGuard.Then.HOLD, counts);
      assertThat(run(journey.edit().frequencyGuard(Optional.of(guard)).done(), email -> {}, 100))
          .contains(counts ? "passed t 24.0h" : "passed t 1.0h");
    }
  }

  /** A window of its own stands in the place of the journey's. */
  @Test
  void aStepMayHaveAWindowOfItsOwn() {
    SendWindow evening =
        new SendWindow(EnumSet.allOf(DayOfWeek.class), LocalTime.of(18, 0), LocalTime.of(20, 0));
    SendWindow morning =
        new SendWindow(EnumSet.allOf(DayOfWeek.class), LocalTime.of(8, 0), LocalTime.of(12, 0));
    Step text =
        new Step.SendText(id("t"), Steps.MESSAGE, Optional.empty(), false, Optional.of(evening));
    Journey journey =
        journey(send("a"), text, send("b").edit().window(Optional.of(evening)).done(), send("c"))
            .edit()
            .sendWindow(Optional.of(morning))
            .done();
    assertThat(run(journey, email -> {}, 100))
        .contains("passed a 8.0h", "passed t 18.0h", "passed b 18.0h", "passed c 32.0h");
  }
}
