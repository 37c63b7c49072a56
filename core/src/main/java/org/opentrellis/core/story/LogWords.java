package org.opentrellis.core.story;

import java.util.Optional;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.happening.MessageRef;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Channel;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Money;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.live.Deed;
import org.opentrellis.core.machine.LeaveReason;
import org.opentrellis.core.machine.SkipReason;
import org.opentrellis.core.sentence.Sentences;
import org.opentrellis.core.sentence.Style;

/** What happened in a journey that runs, as sentences about "they" without a beginning. */
public final class LogWords {
  private final Journey journey;
  private final Catalogue catalogue;
  private final Sentences sentences;

  /**
   * @param journey as it was when it happened, with the names that readers know
   */
  public LogWords(Journey journey, Catalogue catalogue) {
    this.journey = Strands.expand(journey, catalogue);
    this.catalogue = catalogue;
    this.sentences = new Sentences(this.journey, catalogue);
  }

  /** Such as "Was sent “First frames”." */
  public String say(Deed deed) {
    Optional<Step> step = deed.step().flatMap(this::step);
    return switch (deed.kind()) {
      case ENTERED -> "Came in.";
      case KEPT_OUT -> "Was kept out: they are not among those who may enter.";
      case TURNED_AWAY -> "Came again and may not enter again.";
      case LOT_DRAWN -> "A lot was drawn for them: " + letter(deed) + ".";
      case WENT_WAY -> went(step, deed);
      case SENT -> "Was sent " + message(step, deed.detail()) + ".";
      case HELD_BACK -> message(step, deed.detail()) + " had waited until messages may go out.";
      case SKIPPED ->
          "Did not get "
              + message(step, Optional.empty())
              + ": "
              + skipped(SkipReason.valueOf(deed.detail().orElseThrow()))
              + ".";
      case RECORD_CHANGED, HANDED_OVER, TEAM_TOLD ->
          step.map(one -> sentences.step(one).text() + ".").orElse("Went past a step.");
      case GOAL_MET -> "Met the goal.";
      case SECONDARY_GOAL_MET -> "Met a secondary goal.";
      case LEFT -> "Left: " + left(LeaveReason.valueOf(deed.detail().orElseThrow())) + ".";
      case FINISHED -> "Is through.";
    };
  }

  private Optional<Step> step(StepId id) {
    return journey.steps().filter(one -> one.id().equals(id)).findFirst();
  }

  private static char letter(Deed deed) {
    return (char) ('A' + Integer.parseInt(deed.detail().orElse("0")));
  }

  private String went(Optional<Step> step, Deed deed) {
    int way = Integer.parseInt(deed.detail().orElse("0"));
    return switch (step.orElse(null)) {
      case Step.Branch branch when way < branch.arms().size() ->
          "Took the way of those who "
              + sentences.condition(branch.arms().get(way).condition()).text()
              + ".";
      case Step.Branch branch -> "Took the way of all others.";
      case null, default -> "Took way " + letter(deed) + ".";
    };
  }

  private String message(Optional<Step> step, Optional<String> variant) {
    if (!(step.orElse(null) instanceof Step.Send send)) {
      return "a message";
    }
    MessageId id =
        send.versions().stream()
            .filter(one -> variant.equals(Optional.of(one.id().value())))
            .map(one -> one.message())
            .findFirst()
            .orElseGet(send::message);
    String name = catalogue.message(id).map(one -> one.name()).orElse(id.value());
    return (send.channel() == Channel.TEXT ? "text " : "email ") + Style.quoted(name);
  }

  private static String skipped(SkipReason why) {
    return switch (why) {
      case CONDITION -> "it is for others only";
      case HAD_BEFORE -> "they have had it before";
      case NO_ROOM -> "it would have been more in a week than the account allows";
      case FREQUENCY_GUARD -> "they got enough in these days";
      case NO_CONSENT -> "they did not agree to texts";
    };
  }

  private static String left(LeaveReason why) {
    return switch (why) {
      case ERASED -> "they were forgotten";
      case UNSUBSCRIBED -> "they get no more mail";
      case COMPLAINED -> "they complained";
      case BOUNCED -> "their address bounced";
      case GOAL_MET -> "the goal was met";
      case RULE -> "a leave rule held";
      case TAKEN_OUT -> "they were taken out by hand";
      case STOPPED -> "the journey was stopped";
    };
  }

  /** What was told of one of its messages, such as "Opened email “First frames”." */
  public String say(Happening.OfMessage told) {
    String message = message(told.message());
    return switch (told) {
      case Happening.Delivered got -> "Got " + message + ".";
      case Happening.Bounced back ->
          message + (back.forGood() ? " came back: the address is dead." : " did not reach them.");
      case Happening.OpenRecorded open -> "The pictures of " + message + " were loaded.";
      case Happening.Opened open -> "Opened " + message + ".";
      case Happening.Clicked click ->
          "Clicked "
              + click.link().map(link -> Style.quoted(link.value())).orElse("a link")
              + " in "
              + message
              + ".";
    };
  }

  private String message(MessageRef ref) {
    return message(step(ref.step()), Optional.empty());
  }

  /** What was told of nobody's message in particular. */
  public static String sayOf(Happening told, String journey) {
    return switch (told) {
      case Happening.Joined one -> "Joined list " + Style.quoted(one.list().value()) + ".";
      case Happening.LeftList one -> "Left list " + Style.quoted(one.list().value()) + ".";
      case Happening.Tagged one -> "Was tagged " + Style.quoted(one.tag().value()) + ".";
      case Happening.Untagged one -> "Lost the tag " + Style.quoted(one.tag().value()) + ".";
      case Happening.FieldChanged one ->
          "Field %s was %s."
              .formatted(
                  Style.quoted(one.field().value()),
                  one.value().isPresent() ? "changed" : "emptied");
      case Happening.FormSubmitted one ->
          "Filled in form " + Style.quoted(one.form().value()) + ".";
      case Happening.Moved one -> "Is at home in " + one.zone().getId() + " now.";
      case Happening.CartChanged one ->
          one.lines().isEmpty()
              ? "Emptied the cart."
              : "Put something into the cart, for %s in all."
                  .formatted(
                      new Money(one.lines().stream().mapToLong(line -> line.price().cents()).sum())
                          .inWords());
      case Happening.Ordered one -> "Bought for " + one.total().inWords() + ".";
      case Happening.EventArrived one -> "Event " + Style.quoted(one.event().value()) + " arrived.";
      case Happening.ConsentGiven one ->
          one.channel() == Channel.TEXT ? "Agreed to texts." : "May be mailed again.";
      case Happening.ConsentWithdrawn one ->
          one.channel() == Channel.TEXT ? "Wants no more texts." : "Unsubscribed.";
      case Happening.Complained one -> "Complained.";
      case Happening.Erased one -> "Was forgotten.";
      case Happening.Came one ->
          switch (one.by()) {
            case Trigger.DateComes date -> "A date brought them to " + journey + ".";
            case Trigger.OnDate date -> "A date brought them to " + journey + ".";
            case Trigger.EntersSegment enters ->
                "Is in segment " + Style.quoted(enters.segment().value()) + " now.";
            case Trigger.JoinsList joins ->
                "Joined list " + Style.quoted(joins.list().value()) + ".";
            case Trigger.GetsTag gets -> "Was tagged " + Style.quoted(gets.tag().value()) + ".";
            case Trigger.SubmitsForm form -> "Filled in a form.";
            case Trigger.LeavesCart cart -> "Left a cart.";
            case Trigger.Buys buys -> "Bought something.";
            case Trigger.EventArrives event ->
                "Event " + Style.quoted(event.event().value()) + " arrived.";
            case Trigger.OpensMessage opens -> "Opened a message.";
            case Trigger.ClicksMessage clicks -> "Clicked in a message.";
            case Trigger.HandedOver over -> "Was handed over to " + journey + ".";
            case Trigger.PutIn in -> "Was put into " + journey + ".";
          };
      case Happening.PutIn one -> "Was put into " + journey + " by hand.";
      case Happening.TakenOut one -> "Was taken out of " + journey + " by hand.";
      case Happening.PutForward one -> "Was sent on in " + journey + " by hand.";
      case Happening.Published one -> journey + " was opened.";
      case Happening.Closed one -> journey + " was closed.";
      case Happening.Stopped one -> journey + " was stopped.";
      case Happening.OfMessage one -> "Something became of a message.";
    };
  }
}
