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
    if (trigger instanceof Trigger.JoinsList joins) {
      return Phrase.plain("joins list ").and(style.name(joins.list().value()));
    }
    if (trigger instanceof Trigger.GetsTag gets) {
      return Phrase.plain("gets tag ").and(style.name(gets.tag().value()));
    }
    if (trigger instanceof Trigger.SubmitsForm submits) {
      return submits
          .form()
          .map(form -> Phrase.plain("submits form ").and(style.name(form.value())))
          .orElse(Phrase.plain("submits ").andStrong("any form"));
    }
    if (trigger instanceof Trigger.EntersSegment enters) {
      return Phrase.plain("enters segment ").and(style.name(enters.segment().value()));
    }
    if (trigger instanceof Trigger.OpensMessage opens) {
      return Phrase.plain("opens ").andStrong(library.message(opens.message()));
    }
    if (trigger instanceof Trigger.ClicksMessage clicks) {
      Phrase phrase = Phrase.plain("clicks ");
      if (clicks.link().isPresent()) {
        phrase = phrase.andStrong(Style.quoted(clicks.link().get().value())).and(" in ");
      }
      return phrase.andStrong(library.message(clicks.message()));
    }
    if (trigger instanceof Trigger.LeavesCart leaves) {
      return Phrase.plain("leaves a cart for ").andStrong(minutes(leaves.minutes()));
    }
    if (trigger instanceof Trigger.Buys buys) {
      return Phrase.plain("buys ").and(ConditionWords.words(buys.what(), style));
    }
    if (trigger instanceof Trigger.DateComes date) {
      return Phrase.plain("is ")
          .andStrong(TimeWords.around(date.days()))
          .and(" ")
          .and(style.name(date.field().value()))
          .and(", at ")
          .andStrong(date.at().toString())
          .and(TimeWords.yearly(date.everyYear(), date.onFirstOfMarch()));
    }
    if (trigger instanceof Trigger.OnDate on) {
      return Phrase.plain("enters with all others on ").andStrong(on.date() + ", " + on.at());
    }
    if (trigger instanceof Trigger.EventArrives arrives) {
      return Phrase.plain("has event ").and(style.name(arrives.event().value()));
    }
    return trigger instanceof Trigger.HandedOver
        ? Phrase.plain("is ").andStrong("handed over").and(" by another journey")
        : Phrase.plain("is ").andStrong("put in by hand").and(" or by an import");
  }

  static Phrase say(ReEntry rule) {
    if (rule instanceof ReEntry.Never) {
      return Phrase.strong("once per person");
    }
    if (rule instanceof ReEntry.AfterHavingLeft) {
      return Phrase.strong("again after having left");
    }
    return rule instanceof ReEntry.AfterDays after
        ? Phrase.plain("again after ").andStrong(TimeWords.days(after.days()))
        : Phrase.strong("every time, side by side");
  }

  private static String minutes(int minutes) {
    if (minutes % 60 != 0) {
      return minutes == 1 ? "1 minute" : minutes + " minutes";
    }
    return minutes == 60 ? "1 hour" : minutes / 60 + " hours";
  }
}
