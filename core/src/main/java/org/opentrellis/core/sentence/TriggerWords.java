package org.opentrellis.core.sentence;

import org.opentrellis.core.journey.ReEntry;
import org.opentrellis.core.journey.Trigger;

/** Says triggers, as they follow "starts when someone". */
final class TriggerWords {
  private final Library library;
  private final Style style;

  TriggerWords(Library library, Style style) {
    this.library = library;
    this.style = style;
  }

  Phrase say(Trigger trigger) {
    return switch (trigger) {
      case Trigger.JoinsList joins ->
          Phrase.plain("joins list ").and(style.name(joins.list().value()));
      case Trigger.GetsTag gets -> Phrase.plain("gets tag ").and(style.name(gets.tag().value()));
      case Trigger.SubmitsForm submits ->
          submits
              .form()
              .map(form -> Phrase.plain("submits form ").and(style.name(form.value())))
              .orElse(Phrase.plain("submits ").andStrong("any form"));
      case Trigger.EntersSegment enters ->
          Phrase.plain("enters segment ").and(style.name(enters.segment().value()));
      case Trigger.OpensMessage opens ->
          Phrase.plain("opens ").andStrong(library.message(opens.message()));
      case Trigger.ClicksMessage clicks -> {
        Phrase phrase = Phrase.plain("clicks ");
        if (clicks.link().isPresent()) {
          phrase = phrase.andStrong(Style.quoted(clicks.link().get().value())).and(" in ");
        }
        yield phrase.andStrong(library.message(clicks.message()));
      }
      case Trigger.LeavesCart leaves ->
          Phrase.plain("leaves a cart for ").andStrong(minutes(leaves.minutes()));
      case Trigger.Buys buys -> Phrase.plain("buys ").and(ConditionWords.words(buys.what(), style));
      case Trigger.DateComes date ->
          Phrase.plain("is ")
              .andStrong(TimeWords.around(date.days()))
              .and(" ")
              .and(style.name(date.field().value()))
              .and(", at ")
              .andStrong(date.at().toString())
              .and(TimeWords.yearly(date.everyYear(), date.onFirstOfMarch()));
      case Trigger.OnDate on ->
          Phrase.plain("enters with all others on ").andStrong(on.date() + ", " + on.at());
      case Trigger.EventArrives arrives ->
          Phrase.plain("has event ")
              .and(ConditionWords.event(arrives.event(), arrives.where(), style));
      case Trigger.HandedOver over ->
          Phrase.plain("is ").andStrong("handed over").and(" by another journey");
      case Trigger.PutIn in ->
          Phrase.plain("is ").andStrong("put in by hand").and(" or by an import");
    };
  }

  static Phrase say(ReEntry rule) {
    return switch (rule) {
      case ReEntry.Never never -> Phrase.strong("once per person");
      case ReEntry.AfterHavingLeft afterHavingLeft -> Phrase.strong("again after having left");
      case ReEntry.AfterDays after ->
          Phrase.plain("again after ").andStrong(TimeWords.days(after.days()));
      case ReEntry.EveryTime every -> Phrase.strong("every time, even while inside");
    };
  }

  private static String minutes(int minutes) {
    if (minutes % 60 != 0) {
      return minutes == 1 ? "1 minute" : minutes + " minutes";
    }
    return minutes == 60 ? "1 hour" : minutes / 60 + " hours";
  }
}
