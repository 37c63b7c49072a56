package org.opentrellis.app.entrances;

import java.util.ArrayList;
import java.util.List;
import org.opentrellis.app.names.NameUse;
import org.opentrellis.app.names.NamesElsewhere;
import org.opentrellis.app.revisions.NameChanged;
import org.opentrellis.core.entrance.ChoicesPage;
import org.opentrellis.core.entrance.Entrance;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.NameExchange;
import org.opentrellis.core.reading.KnownNames;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The names that entrances and the page of choices use; both follow when one changes. */
@Component
@Transactional
class NamesInEntrances implements NamesElsewhere {
  private static final String CHOICES = "Your choices";

  private final EntranceMapper entrances;
  private final ChoicesMapper choices;

  NamesInEntrances(EntranceMapper entrances, ChoicesMapper choices) {
    this.entrances = entrances;
    this.choices = choices;
  }

  @Override
  @Transactional(readOnly = true)
  public KnownNames all() {
    List<Object> documents = new ArrayList<>();
    entrances.all().forEach(row -> documents.add(row.entrance()));
    choices.find().ifPresent(row -> documents.add(row.page()));
    return KnownNames.in(documents);
  }

  @Override
  @Transactional(readOnly = true)
  public List<NameUse> using(Name name) {
    List<NameUse> uses = new ArrayList<>();
    for (EntranceRow row : entrances.all()) {
      if (KnownNames.in(List.of(row.entrance())).has(name)) {
        uses.add(
            new NameUse(
                NameUse.What.ENTRANCE, row.entrance().name().value(), Long.toString(row.id())));
      }
    }
    choices
        .find()
        .filter(row -> KnownNames.in(List.of(row.page())).has(name))
        .ifPresent(row -> uses.add(new NameUse(NameUse.What.ENTRANCE, CHOICES, null)));
    return uses;
  }

  @EventListener
  @Order(1)
  void follow(NameChanged change) {
    NameExchange exchange = new NameExchange(change.before(), change.after());
    for (EntranceRow row : entrances.all()) {
      Entrance renamed = exchange.in(row.entrance());
      if (!renamed.equals(row.entrance())) {
        entrances.save(row.id(), row.version(), Json.write(Documents.write(renamed)));
      }
    }
    choices
        .find()
        .ifPresent(
            row -> {
              ChoicesPage renamed = exchange.in(row.page());
              if (!renamed.equals(row.page())) {
                choices.save(Json.write(Documents.write(renamed)), row.version());
              }
            });
  }
}
