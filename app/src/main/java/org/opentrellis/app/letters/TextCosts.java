package org.opentrellis.app.letters;

import java.util.Optional;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.messages.MessageLibrary;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.TextSegments;
import org.opentrellis.core.message.Manuscript;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What texts take and cost. */
@Component
@Transactional(readOnly = true)
public class TextCosts {
  private final Account account;
  private final LongestValues longest;
  private final MessageLibrary library;

  TextCosts(Account account, LongestValues longest, MessageLibrary library) {
    this.account = account;
    this.longest = longest;
    this.library = library;
  }

  /** In how many segments a text goes, with the longest values that anybody has. */
  int segments(Manuscript.Text text) {
    return TextSegments.of(account.texting().ended(longest.in(text.words())));
  }

  /** The same of a text that is kept; nothing if it is none. */
  public Optional<Integer> segments(MessageId text) {
    return library
        .find(text)
        .map(written -> written.manuscript())
        .filter(Manuscript.Text.class::isInstance)
        .map(Manuscript.Text.class::cast)
        .map(this::segments);
  }

  /** What some segments cost, in the account's currency; nothing if one's price is not known. */
  public Optional<String> price(long segments) {
    return Optional.ofNullable(account.limits().segmentPrice())
        .map(each -> account.writer().regional().price(segments * each));
  }
}
