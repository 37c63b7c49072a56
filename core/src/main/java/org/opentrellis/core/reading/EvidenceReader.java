package org.opentrellis.core.reading;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.EmailRef;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.sentence.Style;

/** Reads what became of the journey's mail: "clicked “Hive kits” in it". */
final class EvidenceReader {
  private static final String ANY_LINK =
      "(on )?(any|a|some|one|either) (link|button)|any of the (links|buttons)|(on )?anything|"
          + "(on )?something";
  private static final String THE_LINK = "(on )?(the|its) (link|button)";

  private final Cursor cursor;
  private final Scope scope;
  private final NameReader names;
  private final TimeReader times;
  private final NumberReader numbers;

  EvidenceReader(Cursor cursor, Scope scope) {
    this.cursor = cursor;
    this.scope = scope;
    this.names = new NameReader(cursor, scope);
    this.times = scope.times(cursor);
    this.numbers = new NumberReader(cursor);
  }

  /** Null if nothing of the kind stands here. */
  @Nullable Condition read() {
    if (cursor.any("opened", "(have |has )?(opened|open|opens|read|reads)")) {
      return opened();
    }
    if (cursor.says("ignored|ignore")) {
      return ConditionReader.not(opened());
    }
    if (cursor.any("clicked", "(have |has )?(clicked|click|clicks|tapped)( through)?")) {
      return often() ? oftenClicked() : clicked();
    }
    if (cursor.any("got", "get|gets|(have |has )?(received|got)|receive|(was|were) sent")) {
      return new Condition.Delivered(names.email(ConditionReader.FOLLOWERS));
    }
    return cursor.word("bounced")
        ? new Condition.Bounced(names.email(ConditionReader.FOLLOWERS))
        : null;
  }

  private boolean often() {
    cursor.could("at least");
    return cursor.sees("at least");
  }

  private Condition opened() {
    if (often()) {
      cursor.word("at least");
      int from = cursor.at();
      int atLeast = numbers.requireWhole("2 of the last 5 emails");
      int last = last();
      boolean themselves = cursor.word("themselves");
      return cursor.meaning(from, () -> new Condition.OftenOpened(atLeast, last, themselves));
    }
    EmailRef email = names.email(ConditionReader.FOLLOWERS);
    boolean themselves = cursor.any("themselves", "(for )?real|personally");
    return new Condition.Opened(email, themselves, soon());
  }

  private Condition oftenClicked() {
    cursor.word("at least");
    int from = cursor.at();
    int atLeast = numbers.requireWhole("2 of the last 5 emails");
    int last = last();
    return cursor.meaning(from, () -> new Condition.OftenClicked(atLeast, last));
  }

  private int last() {
    cursor.require("of the last");
    int last = numbers.requireWhole("5 emails");
    if (!cursor.says("emails|mails")) {
      cursor.require("messages");
    }
    return last;
  }

  private Condition clicked() {
    if (cursor.says(ANY_LINK) || theLink()) {
      boolean said = cursor.says("in(?! the last \\d)|of");
      EmailRef email =
          !said && scope.whole()
              ? new EmailRef.AnyOfJourney()
              : names.email(ConditionReader.FOLLOWERS);
      return new Condition.Clicked(email, Optional.empty(), soon());
    }
    cursor.says("on");
    int from = cursor.at();
    if (cursor.says("(the |a )?new link")) {
      return clickedNew();
    }
    List<String> links = scope.linksAbove();
    boolean named = !links.isEmpty() || cursor.atQuote() || cursor.sees("(the |a )?(link|button)");
    String known = named ? linkName(links) : null;
    if (known == null) {
      cursor.back(from);
      cursor.says("in(?! the last)");
      EmailRef email = names.email(ConditionReader.FOLLOWERS);
      return new Condition.Clicked(email, Optional.empty(), soon());
    }
    LinkName link = cursor.meaning(from, () -> new LinkName(known));
    if (!links.contains(known) && !cursor.sees("in")) {
      throw asksForLink(known, from);
    }
    boolean inOne = cursor.word("in") && !atLast();
    EmailRef email = inOne ? names.email(ConditionReader.FOLLOWERS) : names.emailWith(link, from);
    return new Condition.Clicked(email, Optional.of(link), soon());
  }

  /** "The new link “Hive kits” in “Offer”": the email gets it. */
  private Condition clickedNew() {
    int from = cursor.at();
    String name = cursor.name("link", List.of(), ConditionReader.FOLLOWERS);
    LinkName link = cursor.meaning(from, () -> new LinkName(name));
    boolean said = cursor.word("in") && !atLast();
    EmailRef email = said ? names.email(ConditionReader.FOLLOWERS) : names.lastAbove(from);
    if (email instanceof EmailRef.OfStep of) {
      scope.sendOf(of.step()).ifPresent(send -> scope.written().addLink(send.message(), link));
    }
    return new Condition.Clicked(email, Optional.of(link), soon());
  }

  /** No email above has such a link yet; the last one may get it. */
  private NotUnderstood asksForLink(String name, int from) {
    int to = cursor.end();
    String link = Style.quoted(name);
    String email = scope.lastEmail().map(send -> scope.library().email(send.id())).orElse("");
    return new NotUnderstood(
        "No email above has a link %s.%s"
            .formatted(link, email.isEmpty() ? "" : " Is it a new one in " + email + "?"),
        from,
        to,
        !email.isEmpty(),
        email.isEmpty()
            ? List.of()
            : List.of(
                new Suggestion(
                    "new link " + link,
                    cursor.instead(from, to, "the new link %s in %s".formatted(link, email)))));
  }

  /** "The link" alone is any of the email's. */
  private boolean theLink() {
    int here = cursor.end();
    if (cursor.says(THE_LINK) && (cursor.atPause() || cursor.sees("in|within|and|or|then"))) {
      return true;
    }
    cursor.back(here);
    return false;
  }

  private boolean atLast() {
    int here = cursor.at();
    boolean last = cursor.silently("the last") && times.amount() != null;
    cursor.back(here);
    return last;
  }

  /** A link's name, or null if an email is named here, or nothing. */
  private @Nullable String linkName(List<String> links) {
    links.forEach(one -> cursor.couldName(one, Style.quoted(one), "link"));
    int from = cursor.at();
    boolean said = cursor.says("(the |a )?(link( to)?|button)( called| named)?");
    boolean quoted = cursor.atQuote();
    String name;
    try {
      name = cursor.name("link", links, ConditionReader.FOLLOWERS);
    } catch (NotUnderstood nothing) {
      if (quoted || said) {
        throw nothing;
      }
      cursor.back(from);
      return null;
    }
    boolean isLink = said || links.stream().anyMatch(name::equals);
    int here = cursor.at();
    boolean followedByEmail = cursor.silently("in") && !cursor.silently("the last 1");
    cursor.back(here);
    return isLink || quoted && followedByEmail ? name : null;
  }

  private Optional<Amount> soon() {
    int from = cursor.end();
    cursor.could("within 2 days of sending");
    if (cursor.silently("within")) {
      Amount amount = times.amount();
      if (amount != null && cursor.says("of (sending|it|getting it)|after (sending|getting) it")) {
        return Optional.of(amount);
      }
    }
    cursor.back(from);
    return Optional.empty();
  }
}
