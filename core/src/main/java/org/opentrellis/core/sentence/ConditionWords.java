package org.opentrellis.core.sentence;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.EmailRef;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.Purchases;

/** Says conditions, as they follow "who", "if they" or "branch on". */
final class ConditionWords {
  private final Library library;
  private final Style style;

  ConditionWords(Library library, Style style) {
    this.library = library;
    this.style = style;
  }

  Phrase say(Condition condition) {
    if (condition instanceof Condition.AboutEmail asked) {
      return aboutEmail(asked);
    }
    if (condition instanceof Condition.HasTag has) {
      return Phrase.plain("have tag ").and(style.name(has.tag().value()));
    }
    if (condition instanceof Condition.HadTag had) {
      return Phrase.plain("have ever had tag ").and(style.name(had.tag().value()));
    }
    if (condition instanceof Condition.OnList on) {
      return Phrase.plain("are on list ").and(style.name(on.list().value()));
    }
    if (condition instanceof Condition.InSegment in) {
      return Phrase.plain("are in segment ").and(style.name(in.segment().value()));
    }
    if (condition instanceof Condition.Field field) {
      return field(field);
    }
    if (condition instanceof Condition.Bought bought) {
      return Phrase.plain("bought ").and(words(bought.what(), style)).and(lately(bought.within()));
    }
    if (condition instanceof Condition.Happened happened) {
      String times = happened.atLeast() == 1 ? "" : " at least " + happened.atLeast() + " times";
      return Phrase.plain("had event ")
          .and(style.name(happened.event().value()))
          .and(times + lately(happened.within()));
    }
    if (condition instanceof Condition.CameByForm by) {
      return Phrase.plain("came by form ").and(style.name(by.form().value()));
    }
    if (condition instanceof Condition.CameByJourney by) {
      return Phrase.plain("came from journey ").and(style.name(by.journey().value()));
    }
    if (condition instanceof Condition.CameByList by) {
      return Phrase.plain("came by list ").and(style.name(by.list().value()));
    }
    return combined(condition);
  }

  private Phrase combined(Condition condition) {
    List<Phrase> parts = condition.parts().stream().map(this::nested).toList();
    if (parts.isEmpty()) {
      return Phrase.plain(condition instanceof Condition.Any ? "nobody" : "everyone");
    }
    if (condition instanceof Condition.All) {
      return Phrase.join(parts, " and ");
    }
    if (condition instanceof Condition.Any) {
      return Phrase.join(parts, " or ");
    }
    return parts.size() == 1
        ? negated(condition.parts().get(0))
        : Phrase.plain("neither ").and(Phrase.join(parts, " nor "));
  }

  private Phrase aboutEmail(Condition.AboutEmail asked) {
    Phrase which = which(asked.email());
    if (asked instanceof Condition.Delivered) {
      return Phrase.plain("got ").and(which);
    }
    if (asked instanceof Condition.Bounced) {
      return Phrase.plain("bounced ").and(which);
    }
    if (asked instanceof Condition.Opened opened) {
      Phrase phrase = Phrase.plain("opened ").and(which);
      phrase = opened.peopleOnly() ? phrase.and(" themselves") : phrase;
      return phrase.and(soon(opened.within()));
    }
    Condition.Clicked clicked = (Condition.Clicked) asked;
    Phrase phrase = Phrase.plain("clicked ");
    if (clicked.link().isPresent()) {
      phrase = phrase.andStrong(Style.quoted(clicked.link().get().value())).and(" in ");
    }
    return phrase.and(which).and(soon(clicked.within()));
  }

  private Phrase which(EmailRef email) {
    if (email instanceof EmailRef.OfStep one) {
      return Phrase.strong(library.email(one.step()));
    }
    if (email instanceof EmailRef.OfLast few) {
      return Phrase.strong(
          few.count() == 1 ? "the last email" : "any of the last " + few.count() + " emails");
    }
    return Phrase.strong("any email of this journey");
  }

  private Phrase field(Condition.Field field) {
    String values =
        field.values().stream().map(ConditionWords::words).collect(Collectors.joining(" and "));
    Phrase phrase =
        Phrase.plain("have field ")
            .and(style.name(field.field().value()))
            .and(
                " " + field.is().words().replaceFirst("^is ", "").replaceFirst("^is$", "equal to"));
    return values.isEmpty() ? phrase : phrase.and(" ").andStrong(values);
  }

  /** A value in words. */
  static String words(Operand value) {
    if (value instanceof Operand.Words words) {
      return Style.quoted(words.text());
    }
    if (value instanceof Operand.Number number) {
      return number(number.number());
    }
    if (value instanceof Operand.Date date) {
      return date.date().toString();
    }
    int days = ((Operand.Today) value).plusDays();
    if (days == 0) {
      return "today";
    }
    String distance = Math.abs(days) == 1 ? "1 day" : Math.abs(days) + " days";
    return distance + (days > 0 ? " from today" : " ago");
  }

  static String number(double number) {
    return number == Math.rint(number) && Math.abs(number) < 1e15
        ? Long.toString((long) number)
        : Double.toString(number);
  }

  /** "anything", "Hive kit", "something from Hives for at least 100.00". */
  static Phrase words(Purchases what, Style style) {
    Phrase thing = Phrase.strong("anything");
    if (what.product().isPresent()) {
      thing = style.name(what.product().get().value());
    } else if (what.category().isPresent()) {
      thing = Phrase.strong("something");
    }
    if (what.category().isPresent()) {
      thing = thing.andStrong(" from ").and(style.name(what.category().get().value()));
    }
    return what.atLeast().isEmpty()
        ? thing
        : thing.andStrong(" for at least " + what.atLeast().get().inWords());
  }

  private static String soon(Optional<Amount> within) {
    return within.map(amount -> " within " + amount.inWords() + " of sending").orElse("");
  }

  private static String lately(Optional<Amount> within) {
    return within.map(amount -> " in the last " + amount.inWords()).orElse("");
  }

  private Phrase negated(Condition part) {
    if (!part.parts().isEmpty() || part instanceof Condition.All || part instanceof Condition.Any) {
      return Phrase.plain("not (").and(say(part)).and(")");
    }
    Phrase said = say(part);
    String text = said.spans().get(0).text();
    if (text.startsWith("have ever had ")) {
      return said.startingWith("have ever had ", "have never had ");
    }
    if (text.startsWith("have ")) {
      return said.startingWith(
          "have ", part instanceof Condition.HasTag ? "have no " : "do not have ");
    }
    if (text.startsWith("came ")) {
      return said.startingWith("came ", "did not come ");
    }
    return text.startsWith("are ")
        ? said.startingWith("are ", "are not ")
        : Phrase.plain("have not ").and(said);
  }

  private Phrase nested(Condition part) {
    return part.parts().size() > 1 ? Phrase.plain("(").and(say(part)).and(")") : say(part);
  }

  /** A condition in a word or two. */
  static String briefly(Condition condition) {
    if (condition instanceof Condition.AboutEmail asked) {
      String what = condition.getClass().getSimpleName().toLowerCase(java.util.Locale.ROOT);
      Optional<String> link =
          asked instanceof Condition.Clicked clicked
              ? clicked.link().map(name -> " " + Style.quoted(name.value()))
              : Optional.empty();
      return what + link.orElse("");
    }
    if (condition instanceof Condition.HasTag has) {
      return "tag " + has.tag();
    }
    if (condition instanceof Condition.HadTag had) {
      return "had tag " + had.tag();
    }
    if (condition instanceof Condition.OnList on) {
      return "on list " + on.list();
    }
    if (condition instanceof Condition.InSegment in) {
      return "in " + in.segment();
    }
    if (condition instanceof Condition.Field field) {
      return field.field().value();
    }
    if (condition instanceof Condition.Bought) {
      return "bought";
    }
    if (condition instanceof Condition.Happened happened) {
      return happened.event().value();
    }
    return condition.parts().isEmpty() ? "came by" : combinedBriefly(condition);
  }

  private static String combinedBriefly(Condition condition) {
    List<String> parts =
        condition.parts().stream().map(ConditionWords::briefly).distinct().toList();
    if (parts.size() == 1) {
      return (condition instanceof Condition.None ? "not " : "") + parts.get(0);
    }
    return condition.parts().size() + " questions";
  }
}
