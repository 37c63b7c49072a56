package org.opentrellis.core.machine;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Step;

/**
 * A journey in which each person goes on by themselves and everything that it asks about is known
 * when it is asked: no other journey, no frequency, no calendar of the record. So nothing needs
 * looking out for while somebody waits, and people get through it quicker than by the machine.
 *
 * @param steps by their numbers; what follows a step has a greater number
 * @param goal what counts as the goal, or null if there is none
 * @param goalSeconds since entry within which it counts
 * @param leavesAtGoal whether whoever meets it leaves
 * @param leaveRules purchases that take people out
 */
public record PlainProgram(
    Program program,
    List<PlainStep> steps,
    PlainQuestion.@Nullable Bought goal,
    long goalSeconds,
    boolean leavesAtGoal,
    List<PlainQuestion.Bought> leaveRules) {

  private static final int MOST_SENDS = 64;

  /** The only journey of a world, if it is one of these. */
  public static Optional<PlainProgram> of(World world) {
    if (world.programs().size() != 1 || world.room() != null || !world.isOpen(0)) {
      return Optional.empty();
    }
    Program program = world.programs().get(0);
    Aim aim = program.goalAim();
    PlainQuestion.Bought goal = aim == null ? null : bought(aim.what());
    List<PlainQuestion.@Nullable Bought> rules =
        Arrays.stream(program.leaveRules()).map(PlainProgram::bought).toList();
    boolean other =
        aim != null && goal == null
            || rules.stream().anyMatch(Objects::isNull)
            || program.secondaryAims().length > 0
            || program.entryFilter() != null
            || program.guard() != null
            || program.sends().size() > MOST_SENDS
            || program.sends().stream().anyMatch(Step.SendText.class::isInstance)
            || program.nodes().length == 0
            || !Arrays.stream(program.entrances()).allMatch(PlainProgram::isUsual);
    if (other) {
      return Optional.empty();
    }
    List<@Nullable PlainStep> steps =
        IntStream.range(0, program.nodes().length).mapToObj(n -> step(program, n)).toList();
    return steps.stream().anyMatch(Objects::isNull)
        ? Optional.empty()
        : Optional.of(
            new PlainProgram(
                program,
                steps,
                goal,
                aim == null ? 0 : aim.seconds(),
                program.leavesAtGoal(),
                rules));
  }

  private static PlainQuestion.@Nullable Bought bought(Question question) {
    return PlainQuestion.of(question).orElse(null) instanceof PlainQuestion.Bought bought
        ? bought
        : null;
  }

  /** Whether it brings people in and has nothing else to do with them. */
  private static boolean isUsual(Entrance entrance) {
    return switch (entrance) {
      case Entrance.OnLabel on -> on.label() < Long.SIZE;
      case Entrance.OnForm on -> true;
      case Entrance.OnHandOver on -> true;
      case Entrance.ByHand by -> true;
      case Entrance.OnSegment on -> false;
      case Entrance.OnOpen on -> false;
      case Entrance.OnClick on -> false;
      case Entrance.OnCart on -> false;
      case Entrance.OnPurchase on -> false;
      case Entrance.OnEvent on -> false;
      case Entrance.OnDate on -> false;
    };
  }

  /** By trigger, the tag or list by which it brings people in, as a bit; 0 if it is none. */
  public long[] labelsOnEntry() {
    return Arrays.stream(program.entrances())
        .mapToLong(one -> one instanceof Entrance.OnLabel on ? 1L << on.label() : 0)
        .toArray();
  }

  /** The slot for a link of what was sent, or -1 if no condition asks about it. */
  public int linkSlot(int send, int variant, int link) {
    return program.linkSlot(send, variant, link);
  }

  private static @Nullable PlainStep step(Program program, int number) {
    return switch (program.nodes()[number]) {
      case Node.Send send ->
          send.plain() ? new PlainStep.Send(send.send(), send.variants(), send.next()) : null;
      case Node.Wait wait ->
          wait.timer() instanceof Timer.ByRecord
              ? null
              : new PlainStep.Wait(
                  wait.timer()::endsAt,
                  wait.timer() instanceof Timer.Days(int days) ? days : 0,
                  wait.ifPast(),
                  wait.next());
      case Node.WaitFor waits -> {
        PlainQuestion what = PlainQuestion.of(waits.awaited()[0]).orElse(null);
        yield what == null
            ? null
            : new PlainStep.WaitFor(what, waits.atMost()::endsAt, waits.next());
      }
      case Node.Branch branch -> {
        List<@Nullable PlainQuestion> questions =
            Arrays.stream(branch.questions())
                .map(question -> PlainQuestion.of(question).orElse(null))
                .toList();
        yield questions.stream().anyMatch(Objects::isNull)
            ? null
            : new PlainStep.Ask(branch.waitUpTo()::endsAt, questions, branch.firstOfArm());
      }
      case Node.Split split -> new PlainStep.Split(split.shares(), split.firstOfArm());
      case Node.Change change -> mark(program, change);
      case Node.HandOver over -> null;
      case Node.Pass pass -> new PlainStep.Pass(pass.next());
      case Node.Finish finish -> new PlainStep.Pass(Program.END);
    };
  }

  /** Fields are asked about by nothing here, so what is written into them does not matter. */
  private static @Nullable PlainStep mark(Program program, Node.Change change) {
    long removes = 0;
    long adds = 0;
    long had = 0;
    List<RecordEdit> edits = new ArrayList<>(List.of(change.edits()));
    edits.removeIf(
        edit ->
            edit instanceof RecordEdit.SetField
                || edit instanceof RecordEdit.ClearField
                || edit instanceof RecordEdit.AddToField);
    for (RecordEdit edit : edits) {
      if (!(edit instanceof RecordEdit.SetLabel(int label, boolean on))
          || label >= Long.SIZE
          || on && bringsPeopleIn(program, label)) {
        return null;
      }
      long bit = 1L << label;
      removes = on ? removes : removes | bit;
      adds = on ? adds | bit : adds & ~bit;
      had = on ? had | bit : had;
    }
    return new PlainStep.Mark(removes, adds, had, change.next());
  }

  private static boolean bringsPeopleIn(Program program, int label) {
    return Arrays.stream(program.entrances())
        .anyMatch(entrance -> entrance instanceof Entrance.OnLabel on && on.label() == label);
  }
}
