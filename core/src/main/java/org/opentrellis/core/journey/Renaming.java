package org.opentrellis.core.journey;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;

/** Gives steps other ids, and the conditions that ask about them with them. */
public final class Renaming {
  private final UnaryOperator<StepId> rename;

  public Renaming(UnaryOperator<StepId> rename) {
    this.rename = rename;
  }

  public List<Step> steps(List<Step> steps) {
    return steps.stream().map(this::step).toList();
  }

  public Step step(Step step) {
    StepId id = rename.apply(step.id());
    if (step instanceof Step.SendEmail send) {
      return new Step.SendEmail(
          id,
          send.message(),
          send.subject(),
          send.preview(),
          send.sender(),
          send.variants().stream().map(this::variant).toList(),
          send.onlyIf().map(this::condition),
          send.oncePerPerson(),
          send.untracked(),
          send.linkParameters());
    }
    if (step instanceof Step.SendText text) {
      return new Step.SendText(
          id, text.message(), text.onlyIf().map(this::condition), text.oncePerPerson());
    }
    if (step instanceof Step.Wait wait) {
      return new Step.Wait(id, rule(wait.rule()));
    }
    if (step instanceof Step.Branch branch) {
      return branch(branch, id);
    }
    if (step instanceof Step.SplitTest split) {
      List<SplitArm> arms = new ArrayList<>();
      for (SplitArm arm : split.arms()) {
        arms.add(new SplitArm(rename.apply(arm.id()), arm.percent(), steps(arm.steps())));
      }
      return new Step.SplitTest(id, arms);
    }
    if (step instanceof Step.Change change) {
      return new Step.Change(id, change.changes());
    }
    if (step instanceof Step.Include include) {
      return new Step.Include(id, include.strand());
    }
    if (step instanceof Step.HandOver over) {
      return new Step.HandOver(id, over.journey(), over.thenFinish());
    }
    return step instanceof Step.Notify notify
        ? new Step.Notify(id, notify.notice())
        : new Step.Finish(id);
  }

  private Step branch(Step.Branch branch, StepId id) {
    List<Arm> arms = new ArrayList<>();
    for (Arm arm : branch.arms()) {
      arms.add(new Arm(rename.apply(arm.id()), condition(arm.condition()), steps(arm.steps())));
    }
    Otherwise otherwise = branch.otherwise();
    return new Step.Branch(
        id,
        branch.waitUpTo(),
        arms,
        new Otherwise(rename.apply(otherwise.id()), steps(otherwise.steps())));
  }

  private Variant variant(Variant variant) {
    return new Variant(
        rename.apply(variant.id()), variant.message(), variant.subject(), variant.percent());
  }

  private WaitRule rule(WaitRule rule) {
    if (rule instanceof WaitRule.UntilHappens until) {
      return new WaitRule.UntilHappens(condition(until.condition()), until.atMost());
    }
    if (rule instanceof WaitRule.UntilDate until) {
      return new WaitRule.UntilDate(until.date(), until.at(), ifPast(until.ifPast()));
    }
    if (rule instanceof WaitRule.UntilDay until) {
      return new WaitRule.UntilDay(until.day(), until.at(), ifPast(until.ifPast()));
    }
    if (rule instanceof WaitRule.AroundDate around) {
      return new WaitRule.AroundDate(
          around.field(),
          around.days(),
          around.at(),
          around.everyYear(),
          around.onFirstOfMarch(),
          ifPast(around.ifPast()));
    }
    return rule;
  }

  private IfPast ifPast(IfPast past) {
    return past instanceof IfPast.SkipTo skip ? new IfPast.SkipTo(rename.apply(skip.step())) : past;
  }

  public Condition condition(Condition condition) {
    return leaves(condition, this::leaf);
  }

  /** A condition with its plain questions exchanged. */
  public static Condition leaves(Condition condition, UnaryOperator<Condition> change) {
    List<Condition> parts = condition.parts().stream().map(part -> leaves(part, change)).toList();
    if (condition instanceof Condition.All) {
      return new Condition.All(parts);
    }
    if (condition instanceof Condition.Any) {
      return new Condition.Any(parts);
    }
    return condition instanceof Condition.None
        ? new Condition.None(parts)
        : change.apply(condition);
  }

  private Condition leaf(Condition condition) {
    if (condition instanceof Condition.Delivered asked) {
      return new Condition.Delivered(email(asked.email()));
    }
    if (condition instanceof Condition.Bounced asked) {
      return new Condition.Bounced(email(asked.email()));
    }
    if (condition instanceof Condition.Opened asked) {
      return new Condition.Opened(email(asked.email()), asked.peopleOnly(), asked.within());
    }
    if (condition instanceof Condition.Clicked asked) {
      return new Condition.Clicked(email(asked.email()), asked.link(), asked.within());
    }
    return condition;
  }

  private EmailRef email(EmailRef email) {
    return email instanceof EmailRef.OfStep one
        ? new EmailRef.OfStep(rename.apply(one.step()))
        : email;
  }
}
