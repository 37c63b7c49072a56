package org.opentrellis.core.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.NameExchange;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepEdits;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Trigger;

/** A step or question about a link, strand, segment or journey that is not there does nothing. */
final class MissingReference implements Check {
  private static final String CODE = "missing-reference";

  @Override
  public List<Finding> look(CheckContext context) {
    List<Finding> findings = new ArrayList<>();
    context
        .journey()
        .triggers()
        .forEach(trigger -> ofTrigger(trigger, context).ifPresent(findings::add));
    LabelUse.askedByRules(context.journey())
        .flatMap(rule -> segments(rule, context))
        .distinct()
        .forEach(segment -> findings.add(finding(segment)));
    context.journey().leaveWhen().stream()
        .flatMap(rule -> rule.into().stream())
        .filter(into -> missing(into, context))
        .forEach(into -> findings.add(Findings.error(CODE, noJourney(into))));
    context.expanded().steps().forEach(step -> findings.addAll(ofStep(step, context)));
    return findings;
  }

  private static Optional<Finding> ofTrigger(Trigger trigger, CheckContext context) {
    if (trigger instanceof Trigger.EntersSegment enters
        && context.catalogue().segment(enters.segment()).isEmpty()) {
      return Optional.of(finding(enters.segment()));
    }
    boolean noLink =
        trigger instanceof Trigger.ClicksMessage clicks
            && clicks.link().isPresent()
            && !hasLink(context.catalogue().message(clicks.message()), clicks.link().get());
    return noLink
        ? Optional.of(
            Findings.error(CODE, "The message that starts the journey has no link of that name."))
        : Optional.empty();
  }

  private static Finding finding(SegmentName segment) {
    return Findings.error(
        CODE, "There is no segment \u201c%s\u201d, so nobody is in it.".formatted(segment));
  }

  private static List<Finding> ofStep(Step step, CheckContext context) {
    List<Finding> findings = new ArrayList<>();
    if (step instanceof Step.Include include
        && context.catalogue().strand(include.strand()).isEmpty()) {
      findings.add(
          at(step, "There is no strand \u201c%s\u201d to go through.".formatted(include.strand())));
    }
    if (step instanceof Step.HandOver over && missing(over.journey(), context)) {
      findings.add(at(step, noJourney(over.journey())));
    }
    for (Condition condition : step.conditions()) {
      segments(condition, context)
          .forEach(
              name ->
                  findings.add(at(step, "There is no segment \u201c%s\u201d.".formatted(name))));
      links(condition, context).forEach(asked -> findings.add(noLink(step, asked, context)));
    }
    return findings;
  }

  private static Finding noLink(Step step, Condition.Clicked asked, CheckContext context) {
    LinkName link = asked.link().orElseThrow();
    Finding finding =
        at(
            step,
            "No link of that email is called \u201c%s\u201d, so nobody clicks it.".formatted(link));
    Optional<LinkName> other = otherLink(asked.step().orElseThrow(), context);
    return other.isPresent() && context.own(step)
        ? Findings.fixedBy(
            finding,
            "Ask about \u201c%s\u201d instead".formatted(other.get()),
            StepEdits.change(context.journey(), step.id(), new NameExchange(link, other.get())::in))
        : finding;
  }

  /** A link that the email has. */
  private static Optional<LinkName> otherLink(StepId send, CheckContext context) {
    return context.expanded().sends().stream()
        .filter(one -> one.id().equals(send))
        .flatMap(one -> context.catalogue().message(one.message()).stream())
        .flatMap(message -> message.links().stream())
        .findFirst();
  }

  private static Finding at(Step step, String sentence) {
    return Findings.error(CODE, step.id(), sentence);
  }

  private static boolean missing(JourneyName name, CheckContext context) {
    return context.all().noneMatch(one -> one.name().equals(name));
  }

  private static String noJourney(JourneyName name) {
    return "There is no journey \u201c%s\u201d to hand over to.".formatted(name);
  }

  private static Stream<SegmentName> segments(Condition condition, CheckContext context) {
    return condition
        .all()
        .filter(Condition.InSegment.class::isInstance)
        .map(part -> ((Condition.InSegment) part).segment())
        .filter(name -> context.catalogue().segment(name).isEmpty())
        .distinct();
  }

  private static Stream<Condition.Clicked> links(Condition condition, CheckContext context) {
    return condition
        .all()
        .filter(Condition.Clicked.class::isInstance)
        .map(Condition.Clicked.class::cast)
        .filter(clicked -> clicked.link().isPresent() && clicked.step().isPresent())
        .filter(clicked -> !sentWithLink(clicked.step().get(), clicked.link().get(), context));
  }

  private static boolean sentWithLink(StepId send, LinkName link, CheckContext context) {
    Optional<Step.Send> found =
        context.expanded().sends().stream().filter(s -> s.id().equals(send)).findFirst();
    if (found.isEmpty()) {
      return true;
    }
    if (!found.get().versions().isEmpty()) {
      return found.get().versions().stream()
          .anyMatch(v -> hasLink(context.catalogue().message(v.message()), link));
    }
    return hasLink(context.catalogue().message(found.get().message()), link);
  }

  private static boolean hasLink(Optional<Message> message, LinkName link) {
    return message.map(m -> m.links().contains(link)).orElse(false);
  }
}
