package org.opentrellis.core.machine;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.opentrellis.core.journey.Arm;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.TagName;

/** Turns steps into nodes: each knows the number of the node that follows it. */
final class Compiler {
  private final List<Step> steps;
  private final List<Step.SendEmail> emails;
  private final Map<MessageId, List<LinkName>> links;
  private final RecordMarks marks;
  private final Map<StepId, Integer> nodeOf = new HashMap<>();
  private final Map<StepId, Integer> emailOf = new HashMap<>();

  Compiler(
      List<Step> steps,
      List<Step.SendEmail> emails,
      Map<MessageId, List<LinkName>> links,
      RecordMarks marks) {
    this.steps = steps;
    this.emails = emails;
    this.links = links;
    this.marks = marks;
    for (int i = 0; i < steps.size(); i++) {
      nodeOf.put(steps.get(i).id(), i);
    }
    for (int i = 0; i < emails.size(); i++) {
      emailOf.put(emails.get(i).id(), i);
    }
  }

  Node[] compile(List<Step> body) {
    Node[] nodes = new Node[steps.size()];
    compile(body, Program.END, nodes);
    return nodes;
  }

  private void compile(List<Step> sequence, int behind, Node[] nodes) {
    for (int i = 0; i < sequence.size(); i++) {
      Step step = sequence.get(i);
      int next = i + 1 < sequence.size() ? number(sequence.get(i + 1)) : behind;
      nodes[number(step)] = node(step, next, nodes);
    }
  }

  private Node node(Step step, int next, Node[] nodes) {
    if (step instanceof Step.SendEmail send) {
      return new Node.Send(emailOf.get(send.id()), next);
    }
    if (step instanceof Step.Pause pause) {
      return new Node.Pause(pause.rule(), next);
    }
    if (step instanceof Step.Branch branch) {
      return branch(branch, next, nodes);
    }
    if (step instanceof Step.Change change) {
      List<MarkChange> all =
          change.changes().stream().flatMap(c -> MarkChange.of(c).stream()).toList();
      int[] numbers = all.stream().mapToInt(c -> markOf(c.name())).toArray();
      boolean[] on = new boolean[all.size()];
      for (int i = 0; i < on.length; i++) {
        on[i] = all.get(i).on();
      }
      return new Node.Change(numbers, on, next);
    }
    return new Node.Finish();
  }

  private Node branch(Step.Branch branch, int next, Node[] nodes) {
    List<Arm> arms = branch.allArms();
    int[] firstOfArm = new int[arms.size()];
    for (int i = 0; i < firstOfArm.length; i++) {
      List<Step> inside = arms.get(i).steps();
      compile(inside, next, nodes);
      firstOfArm[i] = inside.isEmpty() ? next : number(inside.get(0));
    }
    List<Question> questions =
        branch.arms().stream().map(arm -> question(arm.condition())).toList();
    return new Node.Branch(branch.waitUpTo().orElse(null), questions, firstOfArm, next);
  }

  Question question(Condition condition) {
    if (condition instanceof Condition.AboutEmail asked) {
      Integer email = emailOf.get(asked.email());
      return email == null ? Question.Never.NEVER : aboutEmail(asked, email);
    }
    if (condition instanceof Condition.HasTag has) {
      return new Question.OnRecord(markOf(has.tag()));
    }
    if (condition instanceof Condition.OnList on) {
      return new Question.OnRecord(markOf(on.list()));
    }
    List<Question> parts = condition.parts().stream().map(this::question).toList();
    Question.Quantifier quantifier =
        condition instanceof Condition.All
            ? Question.Quantifier.ALL
            : condition instanceof Condition.Any
                ? Question.Quantifier.ANY
                : Question.Quantifier.NONE;
    return new Question.Combined(quantifier, parts);
  }

  private int number(Step step) {
    return nodeOf.get(step.id());
  }

  private Question aboutEmail(Condition.AboutEmail asked, int email) {
    if (asked instanceof Condition.Opened opened) {
      return new Question.Opened(email, opened.peopleOnly());
    }
    Optional<LinkName> link = ((Condition.Clicked) asked).link();
    if (link.isEmpty()) {
      return new Question.Clicked(email, Question.Clicked.ANY_LINK);
    }
    int number = links.getOrDefault(emails.get(email).message(), List.of()).indexOf(link.get());
    return number < 0 ? Question.Never.NEVER : new Question.Clicked(email, number);
  }

  private int markOf(Object name) {
    OptionalInt mark = name instanceof TagName tag ? marks.find(tag) : marks.find((ListName) name);
    return mark.orElseThrow();
  }
}
