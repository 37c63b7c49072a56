package org.opentrellis.core.story;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.opentrellis.core.journey.Arm;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.LeaveRule;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.machine.LeaveReason;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.Sent;
import org.opentrellis.core.machine.SkipReason;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.sentence.Sentences;

/** Says why somebody went one way and not another. */
final class Reasons {
  private final Program program;
  private final Sentences sentences;
  private final Moments moments;

  Reasons(Program program, Sentences sentences, Moments moments) {
    this.program = program;
    this.sentences = sentences;
    this.moments = moments;
  }

  /**
   * Why an arm of a branch was taken.
   *
   * @param way the arm's position, otherwise last
   */
  String branch(Step.Branch branch, int way, Visit visit, long at) {
    String arm = ", so arm " + (char) ('A' + way) + ".";
    if (way < branch.arms().size()) {
      Condition condition = branch.arms().get(way).condition();
      return "They " + said(condition) + evidence(condition, visit, at) + arm;
    }
    String none =
        branch.arms().stream()
            .map(Arm::condition)
            .map(condition -> said(condition) + evidence(condition, visit, Long.MAX_VALUE - 1))
            .collect(Collectors.joining(", nor that they "));
    return "By " + moments.say(at) + " it was not so that they " + none + arm;
  }

  private String said(Condition condition) {
    return sentences.condition(condition).text();
  }

  /** When what a condition asks about happened, for each email that it names. */
  private String evidence(Condition condition, Visit visit, long at) {
    List<Condition.AboutEmail> asked =
        condition
            .all()
            .filter(Condition.AboutEmail.class::isInstance)
            .map(Condition.AboutEmail.class::cast)
            .toList();
    String times =
        asked.stream()
            .flatMap(one -> one.step().stream().map(step -> moment(one, step, visit)))
            .filter(moment -> moment <= at && moment != Person.NEVER)
            .sorted()
            .map(moments::say)
            .collect(Collectors.joining(" and "));
    if (times.isEmpty()) {
      return "";
    }
    return at == Long.MAX_VALUE - 1 ? " (that came on " + times + ")" : " on " + times;
  }

  private long moment(Condition.AboutEmail asked, StepId step, Visit visit) {
    Optional<Integer> send =
        program.sends().stream()
            .filter(one -> one.id().equals(step))
            .findFirst()
            .map(program.sends()::indexOf);
    if (send.isEmpty()) {
      return Person.NEVER;
    }
    Sent sent = visit.sent(send.get());
    return switch (asked) {
      case Condition.Clicked clicked -> sent.clickAt();
      case Condition.Opened opened ->
          opened.peopleOnly() ? sent.peopleOpenAt() : sent.recordedOpenAt();
      case Condition.Delivered delivered -> sent.deliveredAt();
      case Condition.Bounced bounced -> sent.bouncedAt();
      // They ask about no single email.
      case Condition.OftenOpened often -> Person.NEVER;
      case Condition.OftenClicked often -> Person.NEVER;
    };
  }

  String skipped(SkipReason reason, Step.Send send) {
    return switch (reason) {
      case CONDITION ->
          "Goes on without it: it goes only to those who "
              + send.onlyIf().map(this::said).orElse("")
              + ".";
      case HAD_BEFORE -> "Goes on without it: they have had this message before.";
      case NO_ROOM -> "Goes on without it: it would be more in a week than the account allows.";
      case FREQUENCY_GUARD -> "Goes on without it: they have had enough emails lately.";
      case NO_CONSENT -> "Goes on without it: they have not agreed to texts.";
    };
  }

  String left(LeaveReason reason) {
    return switch (reason) {
      case GOAL_MET ->
          "Leaves the journey: the goal is met"
              + program.goal().map(goal -> ", they " + said(goal.what())).orElse("")
              + ".";
      case UNSUBSCRIBED -> "Leaves the journey: they have unsubscribed.";
      case COMPLAINED -> "Leaves the journey: they have complained.";
      case BOUNCED -> "Leaves the journey: mail to them comes back for good.";
      case ERASED -> "Leaves the journey: their record is erased.";
      case TAKEN_OUT -> "Leaves the journey: somebody took them out by hand.";
      case STOPPED -> "Leaves the journey: it was stopped.";
      case RULE ->
          "Leaves the journey: whoever "
              + program.journey().leaveWhen().stream()
                  .map(rule -> said(rule.when()) + into(rule))
                  .collect(Collectors.joining(" or "))
              + " leaves.";
    };
  }

  private static String into(LeaveRule rule) {
    return rule.into().map(to -> " (into \u201c" + to + "\u201d)").orElse("");
  }
}
