package org.opentrellis.app.newsletters;

import java.util.List;
import java.util.function.Function;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.news.NewsSeries;
import org.opentrellis.core.news.NewsSheet;
import org.opentrellis.core.newsletter.Newsletter;
import org.opentrellis.core.newsletter.NewsletterSheet;
import org.opentrellis.core.newsletter.Readers;
import org.opentrellis.core.sentence.Sentences;
import org.springframework.stereotype.Component;

/** Newsletters in words. */
@Component
public class NewsletterWords {
  private final Catalogues catalogues;
  private final Account account;

  NewsletterWords(Catalogues catalogues, Account account) {
    this.catalogues = catalogues;
    this.account = account;
  }

  /** What one does, as sentences. */
  List<String> sheet(Newsletter newsletter) {
    return NewsletterSheet.of(newsletter, called(), catalogues.current(), account.zone());
  }

  /** What one does that goes out on a rhythm. */
  public List<String> sheet(NewsSeries series) {
    return NewsSheet.of(series, called(), catalogues.current(), account.zone());
  }

  /** Who gets it, as it is typed; empty for everybody, and while it is not said. */
  public String who(Newsletter newsletter) {
    return newsletter.who().flatMap(Readers::asked).map(this::typed).orElse("");
  }

  /** Who of them does not, likewise; empty for nobody. */
  public String butNot(Newsletter newsletter) {
    return newsletter.butNot().map(this::typed).orElse("");
  }

  private String typed(Condition who) {
    return Sentences.ofPeople(catalogues.current()).typed().condition(who).text();
  }

  /** What messages are called. */
  Function<MessageId, String> called() {
    return id -> catalogues.current().message(id).map(Message::name).orElse(id.value());
  }
}
