package org.opentrellis.core.machine;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.IfPast;
import org.opentrellis.core.journey.RecordChange;
import org.opentrellis.core.journey.SplitArm;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.journey.Variant;
import org.opentrellis.core.journey.WaitRule;
import org.opentrellis.core.journey.Way;

/** Turns steps into nodes: each knows the number of the node that follows it. */
final class Compiler {
  private final World world;
  private final Program program;
  private final Questions questions;
  private final Map<StepId, Integer> nodeOf = new HashMap<>();

  /** The steps further down that a wait may skip to, from where the compiler is. */
  private final Map<StepId, Integer> ahead = new HashMap<>();

  Compiler(World world, Program program, Questions questions) {
    this.world = world;
    this.program = program;
    this.questions = questions;
    program.steps().forEach(step -> nodeOf.put(step.id(), nodeOf.size()));
  }

  Node[] compile() {
    Node[] nodes = new Node[program.steps().size()];
    compile(program.journey().body(), Program.END, nodes);
    return nodes;
  }

  private void compile(List<Step> sequence, int behind, Node[] nodes) {
    sequence.forEach(step -> ahead.put(step.id(), number(step)));
    for (int i = 0; i < sequence.size(); i++) {
      Step step = sequence.get(i);
      ahead.remove(step.id());
      int next = i + 1 < sequence.size() ? number(sequence.get(i + 1)) : behind;
      nodes[number(step)] = node(step, next, nodes);
    }
  }

  private Node node(Step step, int next, Node[] nodes) {
    if (step instanceof Step.Send send) {
      return send(send, next);
    }
    if (step instanceof Step.Wait wait) {
      return wait(wait.rule(), next);
    }
    if (step instanceof Step.Branch branch) {
      Question[] asked =
          branch.arms().stream()
              .map(arm -> questions.compile(arm.condition()))
              .toArray(Question[]::new);
      return new Node.Branch(
          branch.waitUpTo().map(Timer::forAmount).orElse(Timer.AT_ONCE),
          asked,
          ways(branch, next, nodes),
          next);
    }
    if (step instanceof Step.SplitTest split) {
      double[] shares = shares(split.arms().stream().map(SplitArm::percent).toList());
      return new Node.Split(shares, ways(split, next, nodes), next);
    }
    if (step instanceof Step.Change change) {
      return new Node.Change(
          change.changes().stream().flatMap(one -> edits(one).stream()).toArray(RecordEdit[]::new),
          next);
    }
    if (step instanceof Step.HandOver over) {
      int to = world.numberOf(over.journey());
      return new Node.HandOver(to, world.handOverTrigger(to), over.thenFinish(), next);
    }
    return step instanceof Step.Finish ? new Node.Finish() : new Node.Pass(next);
  }

  private Node send(Step.Send send, int next) {
    double[] variants =
        send instanceof Step.SendEmail email && !email.variants().isEmpty()
            ? shares(email.variants().stream().map(Variant::percent).toList())
            : new double[0];
    boolean text = send instanceof Step.SendText;
    boolean plain =
        !text
            && send.onlyIf().isEmpty()
            && !send.oncePerPerson()
            && program.window() == null
            && program.guard() == null;
    return new Node.Send(
        program.sendOf(send.id()),
        text,
        send.onlyIf().map(questions::compile).orElse(null),
        send.oncePerPerson(),
        variants,
        plain,
        next);
  }

  private Node wait(WaitRule rule, int next) {
    if (rule instanceof WaitRule.For waits) {
      return new Node.Wait(Timer.forAmount(waits.amount(), waits.thenUntil()), next, next);
    }
    if (rule instanceof WaitRule.Until until) {
      return new Node.Wait(Timer.until(until.moment()), next, next);
    }
    if (rule instanceof WaitRule.UntilDate until) {
      return new Node.Wait(
          Timer.untilDate(until.date(), until.at()), target(until.ifPast(), next), next);
    }
    if (rule instanceof WaitRule.UntilDay until) {
      return new Node.Wait(Timer.untilDay(until), target(until.ifPast(), next), next);
    }
    if (rule instanceof WaitRule.AroundDate around) {
      Timer timer =
          Timer.aroundDate(around, world.numberOf(around.field()), datesOf(around.field()));
      return new Node.Wait(timer, target(around.ifPast(), next), next);
    }
    WaitRule.UntilHappens until = (WaitRule.UntilHappens) rule;
    return new Node.WaitFor(
        new Question[] {questions.compile(until.condition())},
        Timer.forAmount(until.atMost()),
        next);
  }

  /** By trigger of the journey, the one that waits for a date in a field, else null. */
  private Trigger.@Nullable DateComes[] datesOf(FieldName field) {
    return program.journey().triggers().stream()
        .map(
            trigger ->
                trigger instanceof Trigger.DateComes date && date.field().equals(field)
                    ? date
                    : null)
        .toArray(Trigger.DateComes[]::new);
  }

  /** Where a wait goes on whose moment is past; a step that is not ahead counts as "go on". */
  private int target(IfPast ifPast, int next) {
    if (ifPast instanceof IfPast.SkipTo skip) {
      return ahead.getOrDefault(skip.step(), next);
    }
    return ifPast instanceof IfPast.End ? Program.END : next;
  }

  private int[] ways(Step step, int next, Node[] nodes) {
    List<Way> ways = step.ways();
    int[] first = new int[ways.size()];
    for (int i = 0; i < first.length; i++) {
      List<Step> inside = ways.get(i).steps();
      compile(inside, next, nodes);
      first[i] = inside.isEmpty() ? next : number(inside.get(0));
    }
    return first;
  }

  /** Shares of 1, added up. Weights that make no 100% are taken in proportion; a check says so. */
  private static double[] shares(List<Double> percents) {
    double total = percents.stream().mapToDouble(Double::doubleValue).sum();
    double[] upTo = new double[percents.size()];
    double sum = 0;
    for (int i = 0; i < upTo.length; i++) {
      sum += total > 0 ? percents.get(i) / total : 1.0 / upTo.length;
      upTo[i] = sum;
    }
    upTo[upTo.length - 1] = 1;
    return upTo;
  }

  /** What a change comes down to, in order: a move leaves first, then joins. */
  private List<RecordEdit> edits(RecordChange change) {
    if (change instanceof RecordChange.AddTag add) {
      return List.of(new RecordEdit.SetMark(world.numberOfMark(add.tag()), true));
    }
    if (change instanceof RecordChange.RemoveTag remove) {
      return List.of(new RecordEdit.SetMark(world.numberOfMark(remove.tag()), false));
    }
    if (change instanceof RecordChange.JoinList join) {
      return List.of(new RecordEdit.SetMark(world.numberOfMark(join.list()), true));
    }
    if (change instanceof RecordChange.LeaveList leave) {
      return List.of(new RecordEdit.SetMark(world.numberOfMark(leave.list()), false));
    }
    if (change instanceof RecordChange.CopyToList copy) {
      return List.of(new RecordEdit.SetMark(world.numberOfMark(copy.list()), true));
    }
    if (change instanceof RecordChange.MoveToList move) {
      List<RecordEdit> all = new ArrayList<>();
      move.from().forEach(list -> all.add(new RecordEdit.SetMark(world.numberOfMark(list), false)));
      all.add(new RecordEdit.SetMark(world.numberOfMark(move.list()), true));
      return all;
    }
    if (change instanceof RecordChange.SetField set) {
      return List.of(new RecordEdit.SetField(world.numberOf(set.field()), set.value()));
    }
    if (change instanceof RecordChange.ClearField clear) {
      return List.of(new RecordEdit.ClearField(world.numberOf(clear.field())));
    }
    if (change instanceof RecordChange.AddToField add) {
      return List.of(new RecordEdit.AddToField(world.numberOf(add.field()), add.number()));
    }
    return change instanceof RecordChange.Unsubscribe
        ? List.of(new RecordEdit.Unsubscribe())
        : List.of(new RecordEdit.Erase());
  }

  private int number(Step step) {
    return nodeOf.get(step.id());
  }
}
