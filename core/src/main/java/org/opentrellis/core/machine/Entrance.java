package org.opentrellis.core.machine;

import java.util.Optional;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.journey.Trigger;

/** A compiled trigger: what must happen to a person for them to come in. */
sealed interface Entrance {

  /** A tag or list is set. */
  record OnLabel(int label) implements Entrance {}

  /** Any form, or one, is submitted. */
  record OnForm(Optional<FormName> form) implements Entrance {}

  record OnSegment(SegmentName name, Question who) implements Entrance {}

  record OnOpen(int message) implements Entrance {}

  /**
   * @param link its number in the message; -1 for any
   */
  record OnClick(int message, int link) implements Entrance {}

  /**
   * @param seconds since the cart's last change
   */
  record OnCart(long seconds) implements Entrance {}

  record OnPurchase(Question.Bought what) implements Entrance {}

  record OnEvent(EventQuestion.Which which) implements Entrance {}

  /** Whoever keeps the calendar says when. */
  record OnDate() implements Entrance {}

  record OnHandOver() implements Entrance {}

  record ByHand() implements Entrance {}

  /** The entrances of a journey, by the position of their triggers. */
  static Entrance[] of(Journey journey, Vocabulary vocabulary, Questions questions) {
    return journey.triggers().stream()
        .map(trigger -> of(trigger, vocabulary, questions))
        .toArray(Entrance[]::new);
  }

  private static Entrance of(Trigger trigger, Vocabulary vocabulary, Questions questions) {
    Names names = vocabulary.names();
    return switch (trigger) {
      case Trigger.JoinsList joins -> new OnLabel(names.labels.of(joins.list()));
      case Trigger.GetsTag gets -> new OnLabel(names.labels.of(gets.tag()));
      case Trigger.SubmitsForm submits -> new OnForm(submits.form());
      case Trigger.EntersSegment enters ->
          new OnSegment(enters.segment(), questions.segment(enters.segment()));
      case Trigger.OpensMessage opens -> new OnOpen(names.messages.of(opens.message()));
      case Trigger.ClicksMessage clicks ->
          new OnClick(names.messages.of(clicks.message()), link(clicks, vocabulary));
      case Trigger.LeavesCart cart -> new OnCart(60L * cart.minutes());
      case Trigger.Buys buys -> new OnPurchase(vocabulary.bought(buys.what(), null));
      case Trigger.EventArrives arrives ->
          new OnEvent(EventQuestion.Which.of(arrives.event(), arrives.where(), names));
      case Trigger.DateComes date -> {
        names.fields.of(date.field());
        yield new OnDate();
      }
      case Trigger.OnDate on -> new OnDate();
      case Trigger.HandedOver over -> new OnHandOver();
      case Trigger.PutIn put -> new ByHand();
    };
  }

  /** The link's number in its message; one that is not there is never clicked. */
  private static int link(Trigger.ClicksMessage clicks, Vocabulary vocabulary) {
    if (clicks.link().isEmpty()) {
      return -1;
    }
    Optional<Message> message = vocabulary.catalogue().message(clicks.message());
    int number = message.map(m -> m.links().indexOf(clicks.link().get())).orElse(-1);
    return number < 0 ? Integer.MAX_VALUE : number;
  }
}
