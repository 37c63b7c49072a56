package org.opentrellis.core.sentence;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.journey.Attribute;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.EmailRef;
import org.opentrellis.core.journey.EventName;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.Operator;
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
    return switch (condition) {
      case Condition.AboutEmail asked -> aboutEmail(asked);
      case Condition.HasTag has -> Phrase.plain("have tag ").and(style.name(has.tag().value()));
      case Condition.HadTag had ->
          Phrase.plain("have ever had tag ").and(style.name(had.tag().value()));
      case Condition.OnList on -> Phrase.plain("are on list ").and(style.name(on.list().value()));
      case Condition.InSegment in ->
          Phrase.plain("are in segment ").and(style.name(in.segment().value()));
      case Condition.Field field -> field(field);
      case Condition.Bought bought ->
          Phrase.plain("bought ").and(words(bought.what(), style)).and(lately(bought.within()));
      case Condition.InCart in -> Phrase.plain("have in the cart ").and(words(in.what(), style));
      case Condition.Happened happened -> {
        String times = happened.atLeast() == 1 ? "" : " at least " + happened.atLeast() + " times";
        yield Phrase.plain("had event ")
            .and(event(happened.event(), happened.where(), style))
            .and(times + lately(happened.within()));
      }
      case Condition.CameByForm by ->
          Phrase.plain("came by form ").and(style.name(by.form().value()));
      case Condition.CameByJourney by ->
          Phrase.plain("came from journey ").and(style.name(by.journey().value()));
      case Condition.CameByList by ->
          Phrase.plain("came by list ").and(style.name(by.list().value()));
      case Condition.CameByOrder by ->
          Phrase.plain("came by an order of ").and(words(by.what(), style));
      case Condition.IsNow now -> Phrase.plain("are now within ").andStrong(now.during().inWords());
      case Condition.All all -> parts(all, " and ", "everyone");
      case Condition.Any any -> parts(any, " or ", "nobody");
      case Condition.None none -> none(none);
    };
  }

  private Phrase parts(Condition condition, String between, String ifNone) {
    List<Phrase> parts = condition.parts().stream().map(this::nested).toList();
    return parts.isEmpty() ? Phrase.plain(ifNone) : Phrase.join(parts, between);
  }

  private Phrase none(Condition.None condition) {
    List<Phrase> parts = condition.parts().stream().map(this::nested).toList();
    if (parts.isEmpty()) {
      return Phrase.plain("everyone");
    }
    return parts.size() == 1
        ? negated(condition.parts().get(0))
        : Phrase.plain("neither ").and(Phrase.join(parts, " nor "));
  }

  private Phrase aboutEmail(Condition.AboutEmail asked) {
    Phrase which = which(asked.email());
    return switch (asked) {
      case Condition.Delivered delivered -> Phrase.plain("got ").and(which);
      case Condition.Bounced bounced -> Phrase.plain("bounced ").and(which);
      case Condition.Opened opened ->
          Phrase.plain("opened ")
              .and(which)
              .and(opened.peopleOnly() ? " themselves" : "")
              .and(soon(opened.within()));
      case Condition.Clicked clicked ->
          clicked
              .link()
              .map(
                  link ->
                      Phrase.plain("clicked ").andStrong(Style.quoted(link.value())).and(" in "))
              .orElse(Phrase.plain("clicked "))
              .and(which)
              .and(soon(clicked.within()));
      case Condition.OftenOpened often ->
          Phrase.plain("opened ")
              .andStrong(often(often.atLeast(), often.last()))
              .and(often.peopleOnly() ? " themselves" : "");
      case Condition.OftenClicked often ->
          Phrase.plain("clicked ").andStrong(often(often.atLeast(), often.last()));
    };
  }

  private static String often(int atLeast, int last) {
    return "at least %d of the last %d emails".formatted(atLeast, last);
  }

  private Phrase which(EmailRef email) {
    return Phrase.strong(
        switch (email) {
          case EmailRef.OfStep one -> library.email(one.step());
          case EmailRef.OfLast few ->
              few.count() == 1 ? "the last email" : "any of the last " + few.count() + " emails";
          case EmailRef.AnyOfJourney any -> "any email of this journey";
        });
  }

  private Phrase field(Condition.Field field) {
    Phrase phrase = Phrase.plain("have field ").and(style.name(field.field().value()));
    return compared(phrase, field.is(), field.values());
  }

  private static Phrase compared(Phrase what, Operator is, List<Operand> operands) {
    String values =
        operands.stream().map(ConditionWords::words).collect(Collectors.joining(" and "));
    Phrase phrase =
        what.and(" " + is.words().replaceFirst("^is ", "").replaceFirst("^is$", "equal to"));
    return values.isEmpty() ? phrase : phrase.and(" ").andStrong(values);
  }

  /** "course booked", "course booked with level equal to “beginner” with seats at least 2". */
  static Phrase event(EventName event, List<Attribute> where, Style style) {
    Phrase phrase = style.name(event.value());
    for (Attribute one : where) {
      phrase =
          compared(
              phrase.and(" with ").and(style.name(one.attribute().value())),
              one.is(),
              one.values());
    }
    return phrase;
  }

  /** A value in words. */
  static String words(Operand value) {
    return switch (value) {
      case Operand.Words words -> Style.quoted(words.text());
      case Operand.Number number -> number(number.number());
      case Operand.Date date -> date.date().toString();
      case Operand.Today today -> fromToday(today.plusDays());
      case Operand.OtherField other -> "field " + Style.quoted(other.field().value());
    };
  }

  private static String fromToday(int days) {
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
    if (part instanceof Condition.Combining) {
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
    return switch (condition) {
      case Condition.Delivered asked -> "delivered";
      case Condition.Bounced asked -> "bounced";
      case Condition.Opened asked -> "opened";
      case Condition.Clicked asked ->
          "clicked" + asked.link().map(name -> " " + Style.quoted(name.value())).orElse("");
      case Condition.OftenOpened often ->
          "opened %d of %d".formatted(often.atLeast(), often.last());
      case Condition.OftenClicked often ->
          "clicked %d of %d".formatted(often.atLeast(), often.last());
      case Condition.HasTag has -> "tag " + has.tag();
      case Condition.HadTag had -> "had tag " + had.tag();
      case Condition.OnList on -> "on list " + on.list();
      case Condition.InSegment in -> "in " + in.segment();
      case Condition.Field field -> field.field().value();
      case Condition.Bought bought -> "bought";
      case Condition.InCart in -> "in the cart";
      case Condition.Happened happened -> happened.event().value();
      case Condition.CameByForm by -> "came by";
      case Condition.CameByJourney by -> "came by";
      case Condition.CameByList by -> "came by";
      case Condition.CameByOrder by -> "came by";
      case Condition.IsNow now -> now.during().inWords();
      case Condition.All all -> partsBriefly(all, "");
      case Condition.Any any -> partsBriefly(any, "");
      case Condition.None none -> partsBriefly(none, "not ");
    };
  }

  private static String partsBriefly(Condition condition, String before) {
    List<String> parts =
        condition.parts().stream().map(ConditionWords::briefly).distinct().toList();
    return parts.size() == 1 ? before + parts.get(0) : condition.parts().size() + " questions";
  }
}
