package org.opentrellis.app.cohorts;

import org.opentrellis.app.revisions.NameChanged;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.NameExchange;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Kept cohorts follow when a name changes. */
@Component
class NamesInCohorts {
  private final CohortMapper mapper;

  NamesInCohorts(CohortMapper mapper) {
    this.mapper = mapper;
  }

  @EventListener
  void follow(NameChanged change) {
    NameExchange exchange = new NameExchange(change.before(), change.after());
    for (CohortRow row : mapper.all()) {
      CohortPlan plan = Documents.readCohort(Json.tree(row.document()));
      CohortPlan renamed = exchange.in(plan);
      if (renamed != plan) {
        mapper.update(row.id(), Json.write(Documents.write(renamed)), row.savedAt());
      }
    }
  }
}
