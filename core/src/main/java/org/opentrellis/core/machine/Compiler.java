package org.opentrellis.core.machine;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.SendWindow;
import org.opentrellis.core.journey.Channel;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.IfPast;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Name;
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
  private final Journey journey;
  private final Map<StepId, Integer> nodeOf;
  private final SendTable sends;
  private final Names names;
  private final Questions questions;

  /** The steps further down that a wait may skip to, from where the compiler is. */
  private final Map<StepId, Integer> ahead = new HashMap<>();

  Compiler(
      Journey journey,
      Map<StepId, Integer> nodeOf,
      SendTable sends,
      Vocabulary vocabulary,
      Questions questions) {
    this.journey = journey;
    this.nodeOf = nodeOf;
    this.sends = sends;
    this.names = vocabulary.names();
    this.questions = questions;
  }

  Node[] compile() {
    Node[] nodes = new Node[nodeOf.size()];
    compile(journey.body(), Program.END, nodes);
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
    return switch (step) {
      case Step.Send send -> send(send, next);
      case Step.Wait wait -> wait(wait.rule(), next);
      case Step.Branch branch ->
          new Node.Branch(
              branch.waitUpTo().map(Timer::forAmount).orElse(Timer.AT_ONCE),
              branch.arms().stream()
                  .map(arm -> questions.compile(arm.condition()))
                  .toArray(Question[]::new),
              ways(branch, next, nodes),
              next);
      case Step.SplitTest split ->
          new Node.Split(
              shares(split.arms().stream().map(SplitArm::percent).toList()),
              ways(split, next, nodes),
              next);
      case Step.Change change ->
          new Node.Change(
              change.changes().stream()
                  .flatMap(one -> edits(one).stream())
                  .toArray(RecordEdit[]::new),
              next);
      case Step.HandOver over ->
          new Node.HandOver(names.journeys.of(over.journey()), over.thenFinish(), next);
      case Step.Include include -> new Node.Pass(next);
      case Step.Notify notify -> new Node.Pass(next);
      case Step.Finish finish -> new Node.Finish();
    };
  }

  private Node send(Step.Send send, int next) {
    double[] variants =
        send.versions().isEmpty()
            ? new double[0]
            : shares(send.versions().stream().map(Variant::percent).toList());
    boolean text = send.channel() == Channel.TEXT;
    Optional<SendWindow> window = send.window().or(journey::sendWindow);
    boolean plain =
        !text
            && send.onlyIf().isEmpty()
            && !send.oncePerPerson()
            && window.isEmpty()
            && journey.frequencyGuard().isEmpty();
    return new Node.Send(
        sends.of(send.id()),
        text,
        send.onlyIf().map(questions::compile).orElse(null),
        send.oncePerPerson(),
        variants,
        window.orElse(null),
        plain,
        next);
  }

  private Node wait(WaitRule rule, int next) {
    return switch (rule) {
      case WaitRule.For waits ->
          new Node.Wait(Timer.forAmount(waits.amount(), waits.thenUntil()), next, next);
      case WaitRule.Until until -> new Node.Wait(Timer.until(until.moment()), next, next);
      case WaitRule.UntilDate until ->
          new Node.Wait(
              Timer.untilDate(until.date(), until.at()), target(until.ifPast(), next), next);
      case WaitRule.UntilDay until ->
          new Node.Wait(Timer.untilDay(until), target(until.ifPast(), next), next);
      case WaitRule.AroundDate around ->
          new Node.Wait(
              Timer.aroundDate(around, names.fields.of(around.field()), datesOf(around.field())),
              target(around.ifPast(), next),
              next);
      case WaitRule.UntilNthWeekday until ->
          new Node.Wait(Timer.untilNthWeekday(until), next, next);
      case WaitRule.UntilHappens until ->
          new Node.WaitFor(
              new Question[] {questions.compile(until.condition())},
              Timer.forAmount(until.atMost()),
              next);
    };
  }

  /** By trigger of the journey, the one that waits for a date in a field, else null. */
  private Trigger.@Nullable DateComes[] datesOf(FieldName field) {
    return journey.triggers().stream()
        .map(
            trigger ->
                trigger instanceof Trigger.DateComes date && date.field().equals(field)
                    ? date
                    : null)
        .toArray(Trigger.DateComes[]::new);
  }

  /** Where a wait goes on whose moment is past; a step that is not ahead counts as "go on". */
  private int target(IfPast ifPast, int next) {
    return switch (ifPast) {
      case IfPast.GoOn on -> next;
      case IfPast.SkipTo skip -> ahead.getOrDefault(skip.step(), next);
      case IfPast.End end -> Program.END;
    };
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
    return switch (change) {
      case RecordChange.AddTag add -> List.of(label(add.tag(), true));
      case RecordChange.RemoveTag remove -> List.of(label(remove.tag(), false));
      case RecordChange.JoinList join -> List.of(label(join.list(), true));
      case RecordChange.LeaveList leave -> List.of(label(leave.list(), false));
      case RecordChange.CopyToList copy -> List.of(label(copy.list(), true));
      case RecordChange.MoveToList move -> {
        List<RecordEdit> all = new ArrayList<>();
        move.from().forEach(list -> all.add(label(list, false)));
        all.add(label(move.list(), true));
        yield all;
      }
      case RecordChange.SetField set ->
          List.of(
              new RecordEdit.SetField(
                  names.fields.of(set.field()), set.value(), names.fieldOf(set.value())));
      case RecordChange.ClearField clear ->
          List.of(new RecordEdit.ClearField(names.fields.of(clear.field())));
      case RecordChange.AddToField add ->
          List.of(new RecordEdit.AddToField(names.fields.of(add.field()), add.number()));
      case RecordChange.Unsubscribe unsubscribe -> List.of(new RecordEdit.Unsubscribe());
      case RecordChange.Erase erase -> List.of(new RecordEdit.Erase());
    };
  }

  private RecordEdit label(Name tagOrList, boolean on) {
    return new RecordEdit.SetLabel(names.labels.of(tagOrList), on);
  }

  private int number(Step step) {
    return nodeOf.get(step.id());
  }
}
