package org.opentrellis.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.journey.CategoryName;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.EmailRef;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Money;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.Operator;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.journey.Purchases;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.sentence.Style;

/** Reads conditions: "opened it and (have tag x or are not on list y)". */
final class ConditionReader {
  private static final String[] FOLLOWERS = {
    "and",
    "or",
    "nor",
    "in",
    "from",
    "in the last",
    "within",
    "themselves",
    "at least",
    "for at least",
    "with"
  };
  private static final Pattern MONEY = Pattern.compile("(\\d{1,9})(?:\\.(\\d{2}))?");

  private final Cursor cursor;
  private final Scope scope;
  private final NameReader names;
  private final TimeReader times;
  private final ComparisonReader comparisons;

  ConditionReader(Cursor cursor, Scope scope) {
    this.cursor = cursor;
    this.scope = scope;
    this.names = new NameReader(cursor, scope);
    this.times = new TimeReader(cursor);
    this.comparisons = new ComparisonReader(cursor, scope.names(FieldName.class));
  }

  /** "And" binds closer than "or". */
  Condition read() {
    List<Condition> ways = new ArrayList<>(List.of(both()));
    while (cursor.word("or")) {
      ways.add(both());
    }
    return ways.size() == 1 ? ways.get(0) : new Condition.Any(ways);
  }

  private Condition both() {
    List<Condition> parts = new ArrayList<>(List.of(unit()));
    while (cursor.word("and")) {
      parts.add(unit());
    }
    return parts.size() == 1 ? parts.get(0) : new Condition.All(parts);
  }

  private Condition unit() {
    if (cursor.silently("(")) {
      Condition inside = read();
      cursor.require(")");
      return inside;
    }
    if (cursor.word("neither")) {
      List<Condition> none = new ArrayList<>(List.of(unit()));
      while (cursor.word("nor")) {
        none.add(unit());
      }
      return new Condition.None(none);
    }
    cursor.silently("they");
    if (cursor.silently("everyone")) {
      return new Condition.All(List.of());
    }
    if (cursor.silently("nobody")) {
      return new Condition.Any(List.of());
    }
    if (cursor.any("have not", "has not", "haven't", "not", "did not", "do not")) {
      return not(cursor.silently("(") ? inParentheses() : plain());
    }
    return plain();
  }

  private Condition inParentheses() {
    Condition inside = read();
    cursor.require(")");
    return inside;
  }

  private static Condition not(Condition part) {
    return new Condition.None(List.of(part));
  }

  private Condition plain() {
    Condition about = aboutEmail();
    if (about == null) {
      about = aboutRecord();
    }
    if (about == null) {
      about = aboutPast();
    }
    if (about == null) {
      throw cursor.lost();
    }
    return about;
  }

  private @Nullable Condition aboutEmail() {
    if (cursor.any("opened", "open")) {
      if (cursor.word("at least")) {
        int from = cursor.at();
        int atLeast = times.requireWhole("2 of the last 5 emails");
        int last = last();
        boolean themselves = cursor.word("themselves");
        return cursor.meaning(from, () -> new Condition.OftenOpened(atLeast, last, themselves));
      }
      EmailRef email = names.email(FOLLOWERS);
      boolean themselves = cursor.word("themselves");
      return new Condition.Opened(email, themselves, soon());
    }
    if (cursor.any("clicked", "click")) {
      if (cursor.word("at least")) {
        int from = cursor.at();
        int atLeast = times.requireWhole("2 of the last 5 emails");
        int last = last();
        return cursor.meaning(from, () -> new Condition.OftenClicked(atLeast, last));
      }
      return clicked();
    }
    if (cursor.any("got", "get", "received")) {
      return new Condition.Delivered(names.email(FOLLOWERS));
    }
    return cursor.word("bounced") ? new Condition.Bounced(names.email(FOLLOWERS)) : null;
  }

  private int last() {
    cursor.require("of the last");
    int last = times.requireWhole("5 emails");
    if (!cursor.silently("emails")) {
      cursor.require("messages");
    }
    return last;
  }

  private Condition clicked() {
    int from = cursor.at();
    List<String> links = scope.linksAbove();
    String known = null;
    if (!links.isEmpty() || cursor.atQuote()) {
      known = linkName(links);
    }
    if (known == null) {
      cursor.back(from);
      EmailRef email = names.email(FOLLOWERS);
      return new Condition.Clicked(email, Optional.empty(), soon());
    }
    LinkName link = new LinkName(known);
    EmailRef email =
        cursor.word("in") && !atLast() ? names.email(FOLLOWERS) : names.emailWith(link, from);
    return new Condition.Clicked(email, Optional.of(link), soon());
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
    boolean quoted = cursor.atQuote();
    String name;
    try {
      name = cursor.name("link", links, FOLLOWERS);
    } catch (NotUnderstood nothing) {
      cursor.back(from);
      if (quoted) {
        throw nothing;
      }
      return null;
    }
    boolean isLink = links.stream().anyMatch(name::equals);
    int here = cursor.at();
    boolean followedByEmail = cursor.silently("in") && !cursor.silently("the last 1");
    cursor.back(here);
    return isLink || quoted && followedByEmail ? name : null;
  }

  private Optional<Amount> soon() {
    int from = cursor.at();
    cursor.could("within 2 days of sending");
    if (cursor.silently("within")) {
      Amount amount = times.amount();
      if (amount != null && cursor.silently("of sending")) {
        return Optional.of(amount);
      }
    }
    cursor.back(from);
    return Optional.empty();
  }

  private Optional<Amount> lately() {
    return cursor.word("in the last") ? Optional.of(times.requireAmount()) : Optional.empty();
  }

  private @Nullable Condition aboutRecord() {
    if (cursor.any("have no tag", "has no tag", "no tag")) {
      return not(new Condition.HasTag(tag()));
    }
    if (cursor.any("have never had tag", "has never had tag", "never had tag")) {
      return not(new Condition.HadTag(tag()));
    }
    if (cursor.any("have ever had tag", "has ever had tag", "ever had tag")) {
      return new Condition.HadTag(tag());
    }
    if (cursor.any("have in the cart", "has in the cart")) {
      return new Condition.InCart(purchases());
    }
    if (cursor.any("have tag", "has tag", "tag", "ever had tag")) {
      return new Condition.HasTag(tag());
    }
    if (cursor.any("are not on list", "is not on list", "not on list")) {
      return not(new Condition.OnList(list()));
    }
    if (cursor.any("are on list", "is on list", "on list")) {
      return new Condition.OnList(list());
    }
    if (cursor.any("are not in segment", "is not in segment", "not in segment")) {
      return not(new Condition.InSegment(segment()));
    }
    if (cursor.any("are in segment", "is in segment", "in segment")) {
      return new Condition.InSegment(segment());
    }
    if (cursor.any("are not now within", "is not now within")) {
      return not(new Condition.IsNow(times.window()));
    }
    if (cursor.any("are now within", "is now within")) {
      return new Condition.IsNow(times.window());
    }
    if (cursor.any("do not have field", "does not have field")) {
      return not(field());
    }
    return cursor.any("have field", "has field", "field") ? field() : null;
  }

  private @Nullable Condition aboutPast() {
    if (cursor.any("bought", "buy", "buys")) {
      return new Condition.Bought(purchases(), lately());
    }
    if (cursor.any("had event", "has had event", "have had event", "event")) {
      EventReader.Which which = new EventReader(cursor, scope).read(FOLLOWERS);
      int times = timesAtLeast();
      Optional<Amount> within = lately();
      int from = cursor.at();
      return cursor.meaning(
          from, () -> new Condition.Happened(which.event(), which.where(), times, within));
    }
    if (cursor.any("came by form", "come by form")) {
      return new Condition.CameByForm(new FormName(name("form", FormName.class)));
    }
    if (cursor.any("came by an order of", "come by an order of")) {
      return new Condition.CameByOrder(purchases());
    }
    if (cursor.any("came by list", "come by list")) {
      return new Condition.CameByList(list());
    }
    return cursor.any("came from journey", "come from journey")
        ? new Condition.CameByJourney(
            new JourneyName(cursor.name("journey", scope.journeys(), FOLLOWERS)))
        : null;
  }

  private int timesAtLeast() {
    if (!cursor.word("at least")) {
      return 1;
    }
    int count = times.requireWhole("2 times");
    cursor.require("times");
    return count;
  }

  private String name(String what, Class<? extends org.opentrellis.core.journey.Name> kind) {
    return cursor.name(what, scope.names(kind), FOLLOWERS);
  }

  private TagName tag() {
    return read("tag", TagName.class, TagName::new);
  }

  private ListName list() {
    return read("list", ListName.class, ListName::new);
  }

  private SegmentName segment() {
    return read("segment", SegmentName.class, SegmentName::new);
  }

  private <T extends org.opentrellis.core.journey.Name> T read(
      String what, Class<T> kind, java.util.function.Function<String, T> make) {
    int from = cursor.at();
    String name = name(what, kind);
    return cursor.meaning(from, () -> make.apply(name));
  }

  private Condition field() {
    int from = cursor.at();
    String name = cursor.name("field", scope.names(FieldName.class), ComparisonReader.BEGINNINGS);
    Operator is = comparisons.operator();
    List<Operand> values = comparisons.values(is);
    return cursor.meaning(from, () -> new Condition.Field(new FieldName(name), is, values));
  }

  /** "anything", "something from Hives for at least 100.00", or a product. */
  Purchases purchases() {
    Optional<ProductName> product = Optional.empty();
    cursor.could("something from");
    boolean open = cursor.any("anything", "something") || cursor.atEnd() || standsAlone();
    if (!open) {
      product = Optional.of(read("product", ProductName.class, ProductName::new));
    }
    Optional<CategoryName> category =
        cursor.word("from")
            ? Optional.of(read("category", CategoryName.class, CategoryName::new))
            : Optional.empty();
    Optional<Money> atLeast = cursor.word("for at least") ? Optional.of(money()) : Optional.empty();
    return new Purchases(product, category, atLeast);
  }

  /** Whether "bought" stands alone and something else follows. */
  private boolean standsAlone() {
    int here = cursor.at();
    boolean follows =
        cursor.silently("for at least")
            || cursor.silently("in the last")
            || cursor.silently("from")
            || cursor.silently("within")
            || cursor.silently("and")
            || cursor.silently("or")
            || cursor.silently(",");
    cursor.back(here);
    return follows;
  }

  private Money money() {
    cursor.could("100.00");
    int from = cursor.at();
    java.util.regex.Matcher amount = cursor.matches(MONEY);
    if (amount == null) {
      throw cursor.lost();
    }
    String cents = amount.group(2) == null ? "00" : amount.group(2);
    return cursor.meaning(from, () -> new Money(Long.parseLong(amount.group(1) + cents)));
  }
}
