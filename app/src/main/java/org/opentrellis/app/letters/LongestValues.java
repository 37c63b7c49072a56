package org.opentrellis.app.letters;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.people.KnownPeople;
import org.opentrellis.core.message.Inline;
import org.opentrellis.core.message.MergeField;
import org.opentrellis.core.message.OneLine;
import org.opentrellis.core.message.Source;
import org.springframework.stereotype.Component;

/** Fills a line with the longest values that anybody has: so long it can get. */
@Component
class LongestValues {
  private static final String SOME_DAY = "30 September 2027";
  private static final String SOME_AMOUNT = "\u20ac1,234.50";

  /** They are asked for again with each key that is typed. */
  private static final Duration SHORTLY = Duration.ofSeconds(10);

  private final KnownPeople people;
  private final Account account;
  private final Cache<Source, String> known =
      Caffeine.newBuilder().maximumSize(100).expireAfterWrite(SHORTLY).build();

  LongestValues(KnownPeople people, Account account) {
    this.people = people;
    this.account = account;
  }

  String in(OneLine line) {
    StringBuilder text = new StringBuilder();
    for (Inline one : line.words()) {
      switch (one) {
        case Inline.Words words -> text.append(words.text());
        case Inline.Field field -> text.append(longest(field.field()));
        case Inline.Break end -> text.append('\n');
      }
    }
    return text.toString();
  }

  private String longest(MergeField field) {
    String value = known.get(field.source(), this::longest);
    return value.length() < field.fallback().length() ? field.fallback() : value;
  }

  private String longest(Source source) {
    return switch (source) {
      case Source.FirstName first -> people.longestFirstName();
      case Source.LastName last -> people.longestLastName();
      case Source.Address address -> people.longestAddress();
      case Source.OfField of -> people.longestValue(of.field());
      case Source.SenderName sender -> account.writer().name();
      case Source.AccountName name -> account.writer().name();
      case Source.CartTotal cart -> SOME_AMOUNT;
      case Source.OrderTotal order -> SOME_AMOUNT;
      case Source.Today today -> SOME_DAY;
    };
  }
}
