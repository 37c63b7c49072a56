package org.opentrellis.app.newsletters;

import java.util.List;
import org.opentrellis.app.names.NameUse;
import org.opentrellis.app.names.NamesElsewhere;
import org.opentrellis.app.revisions.NameChanged;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.NameExchange;
import org.opentrellis.core.newsletter.Newsletter;
import org.opentrellis.core.reading.KnownNames;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * The names that newsletters use; they follow when one changes, and so do the journeys that they
 * run as, by themselves.
 */
@Component
@Transactional
class NamesInNewsletters implements NamesElsewhere {
  private final NewsletterMapper mapper;

  NamesInNewsletters(NewsletterMapper mapper) {
    this.mapper = mapper;
  }

  @Override
  @Transactional(readOnly = true)
  public KnownNames all() {
    return KnownNames.in(mapper.all().stream().map(NewsletterRow::newsletter).toList());
  }

  @Override
  @Transactional(readOnly = true)
  public List<NameUse> using(Name name) {
    return mapper.all().stream()
        .filter(row -> KnownNames.in(List.of(row.newsletter())).has(name))
        .map(
            row ->
                new NameUse(
                    NameUse.What.NEWSLETTER,
                    row.newsletter().name(),
                    Long.toString(row.journeyId())))
        .toList();
  }

  @EventListener
  @Order(1)
  void follow(NameChanged change) {
    NameExchange exchange = new NameExchange(change.before(), change.after());
    for (NewsletterRow row : mapper.holding(change.text())) {
      Newsletter renamed = exchange.in(row.newsletter());
      if (!renamed.equals(row.newsletter())) {
        mapper.save(
            row.journeyId(), row.version(), Json.write(Documents.write(renamed)), row.changedAt());
      }
    }
  }
}
