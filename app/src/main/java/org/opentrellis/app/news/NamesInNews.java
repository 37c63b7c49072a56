package org.opentrellis.app.news;

import java.util.List;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.names.NameUse;
import org.opentrellis.app.names.NamesElsewhere;
import org.opentrellis.app.revisions.NameChanged;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.NameExchange;
import org.opentrellis.core.news.NewsSeries;
import org.opentrellis.core.reading.KnownNames;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The names that news on a rhythm uses; they follow when one changes. */
@Component
@Transactional
class NamesInNews implements NamesElsewhere {
  private final NewsMapper mapper;
  private final AccountClock clock;

  NamesInNews(NewsMapper mapper, AccountClock clock) {
    this.mapper = mapper;
    this.clock = clock;
  }

  @Override
  @Transactional(readOnly = true)
  public KnownNames all() {
    return KnownNames.in(mapper.all().stream().map(NewsRow::series).toList());
  }

  @Override
  @Transactional(readOnly = true)
  public List<NameUse> using(Name name) {
    return mapper.all().stream()
        .filter(row -> KnownNames.in(List.of(row.series())).has(name))
        .map(
            row ->
                new NameUse(
                    NameUse.What.NEWS, row.series().letter().name(), Long.toString(row.id())))
        .toList();
  }

  @EventListener
  @Order(1)
  void follow(NameChanged change) {
    NameExchange exchange = new NameExchange(change.before(), change.after());
    for (NewsRow row : mapper.holding(change.text())) {
      NewsSeries renamed = exchange.in(row.series());
      if (!renamed.equals(row.series())) {
        mapper.save(row.id(), row.version(), Json.write(Documents.write(renamed)), clock.now());
      }
    }
  }
}
