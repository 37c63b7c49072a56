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
    return switch (step) {
      case Step.SendEmail send ->
          new Step.SendEmail(
              id,
              send.message(),
              send.subject(),
              send.preview(),
              send.sender(),
              send.variants().stream().map(this::variant).toList(),
              send.onlyIf().map(this::condition),
              send.oncePerPerson(),
              send.untracked(),
              send.linkParameters(),
              send.window());
      case Step.SendText text ->
          new Step.SendText(
              id,
              text.message(),
              text.onlyIf().map(this::condition),
              text.oncePerPerson(),
              text.window());
      case Step.Wait wait -> new Step.Wait(id, rule(wait.rule()));
      case Step.Branch branch -> branch(branch, id);
      case Step.SplitTest split -> {
        List<SplitArm> arms = new ArrayList<>();
        for (SplitArm arm : split.arms()) {
          arms.add(new SplitArm(rename.apply(arm.id()), arm.percent(), steps(arm.steps())));
        }
        yield new Step.SplitTest(id, arms);
      }
      case Step.Change change -> new Step.Change(id, change.changes());
      case Step.Include include -> new Step.Include(id, include.strand());
      case Step.HandOver over -> new Step.HandOver(id, over.journey(), over.thenFinish());
      case Step.Notify notify -> new Step.Notify(id, notify.notice());
      case Step.Finish finish -> new Step.Finish(id);
    };
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
    return switch (rule) {
      case WaitRule.UntilHappens until ->
          new WaitRule.UntilHappens(condition(until.condition()), until.atMost());
      case WaitRule.UntilDate until ->
          new WaitRule.UntilDate(until.date(), until.at(), ifPast(until.ifPast()));
      case WaitRule.UntilDay until ->
          new WaitRule.UntilDay(until.day(), until.at(), ifPast(until.ifPast()));
      case WaitRule.AroundDate around ->
          new WaitRule.AroundDate(
              around.field(),
              around.days(),
              around.at(),
              around.everyYear(),
              around.onFirstOfMarch(),
              ifPast(around.ifPast()));
      case WaitRule.For waits -> waits;
      case WaitRule.Until until -> until;
      case WaitRule.UntilNthWeekday until -> until;
    };
  }

  private IfPast ifPast(IfPast past) {
    return switch (past) {
      case IfPast.SkipTo skip -> new IfPast.SkipTo(rename.apply(skip.step()));
      case IfPast.GoOn on -> on;
      case IfPast.End end -> end;
    };
  }

  public Condition condition(Condition condition) {
    return leaves(condition, this::leaf);
  }

  /** A condition with its plain questions exchanged. */
  public static Condition leaves(Condition condition, UnaryOperator<Condition> change) {
    List<Condition> parts = condition.parts().stream().map(part -> leaves(part, change)).toList();
    return condition instanceof Condition.Combining combining
        ? combining.with(parts)
        : change.apply(condition);
  }

  private Condition leaf(Condition condition) {
    return condition instanceof Condition.AboutEmail asked ? aboutEmail(asked) : condition;
  }

  private Condition aboutEmail(Condition.AboutEmail condition) {
    return switch (condition) {
      case Condition.Delivered asked -> new Condition.Delivered(email(asked.email()));
      case Condition.Bounced asked -> new Condition.Bounced(email(asked.email()));
      case Condition.Opened asked ->
          new Condition.Opened(email(asked.email()), asked.peopleOnly(), asked.within());
      case Condition.Clicked asked ->
          new Condition.Clicked(email(asked.email()), asked.link(), asked.within());
      case Condition.OftenOpened asked -> asked;
      case Condition.OftenClicked asked -> asked;
    };
  }

  private EmailRef email(EmailRef email) {
    return switch (email) {
      case EmailRef.OfStep one -> new EmailRef.OfStep(rename.apply(one.step()));
      case EmailRef.OfLast few -> few;
      case EmailRef.AnyOfJourney any -> any;
    };
  }
}
