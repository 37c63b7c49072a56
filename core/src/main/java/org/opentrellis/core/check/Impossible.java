package org.opentrellis.core.check;

import java.util.List;
import java.util.Optional;
import org.opentrellis.core.journey.Channel;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.sentence.Style;

/** Why a question can be answered with no only, as far as the journey itself says so. */
final class Impossible {
  static final String CONTRADICTION = "it asks for a contradiction";

  private final Journey journey;
  private final CheckContext context;

  Impossible(CheckContext context) {
    this.context = context;
    this.journey = context.expanded();
  }

  /** A sentence without its full stop; empty if somebody may answer with yes. */
  Optional<String> why(Condition condition) {
    return switch (condition) {
      case Condition.All all ->
          contradicts(all)
              ? Optional.of(CONTRADICTION)
              : all.parts().stream().flatMap(part -> why(part).stream()).findFirst();
      case Condition.Any any ->
          any.parts().stream().allMatch(part -> why(part).isPresent())
              ? why(any.parts().get(0))
              : Optional.empty();
      case Condition.Opened opened -> opened.step().flatMap(this::unseen);
      case Condition.CameByForm by ->
          unless(
              journey.triggers().stream()
                  .anyMatch(
                      one ->
                          one instanceof Trigger.SubmitsForm form
                              && form.form().map(by.form()::equals).orElse(true)),
              "the journey does not start with the form \u201c" + by.form() + "\u201d");
      case Condition.CameByList by ->
          unless(
              journey.triggers().contains(new Trigger.JoinsList(by.list())),
              "the journey does not start with the list \u201c" + by.list() + "\u201d");
      case Condition.CameByOrder by ->
          unless(
              journey.triggers().stream().anyMatch(Trigger.Buys.class::isInstance),
              "the journey does not start with an order");
      // Of these the journey alone does not say.
      case Condition.None none -> Optional.empty();
      case Condition.Delivered delivered -> Optional.empty();
      case Condition.Bounced bounced -> Optional.empty();
      case Condition.Clicked clicked -> Optional.empty();
      case Condition.OftenOpened often -> Optional.empty();
      case Condition.OftenClicked often -> Optional.empty();
      case Condition.HasTag has -> Optional.empty();
      case Condition.HadTag had -> Optional.empty();
      case Condition.OnList on -> Optional.empty();
      case Condition.InSegment in -> Optional.empty();
      case Condition.Field field -> Optional.empty();
      case Condition.Bought bought -> Optional.empty();
      case Condition.InCart in -> Optional.empty();
      case Condition.Happened happened -> Optional.empty();
      case Condition.CameByJourney by -> Optional.empty();
      case Condition.IsNow now -> Optional.empty();
    };
  }

  private static Optional<String> unless(boolean possible, String why) {
    return possible ? Optional.empty() : Optional.of(why);
  }

  /** Whether all of its parts are asked for, one of them both to hold and not to. */
  static boolean contradicts(Condition condition) {
    return condition instanceof Condition.All
        && condition.parts().stream()
            .filter(Condition.None.class::isInstance)
            .flatMap(none -> none.parts().stream())
            .anyMatch(condition.parts()::contains);
  }

  private Optional<String> unseen(StepId step) {
    Optional<Step.Send> send =
        journey.sends().stream().filter(one -> one.id().equals(step)).findFirst();
    return send.filter(one -> !one.tracksOpens())
        .map(
            one ->
                one.channel() == Channel.EMAIL
                    ? "the opens of %s are not tracked".formatted(name(one))
                    : "nobody can know whether the text %s was opened".formatted(name(one)));
  }

  private String name(Step.Send send) {
    return Style.quoted(
        context
            .catalogue()
            .message(send.message())
            .map(Message::name)
            .orElse(send.message().value()));
  }

  /** The emails that a question must be answered about, one after another. */
  static List<StepId> asksAbout(Condition condition) {
    return condition
        .all()
        .filter(Condition.AboutEmail.class::isInstance)
        .flatMap(asked -> ((Condition.AboutEmail) asked).step().stream())
        .toList();
  }
}
