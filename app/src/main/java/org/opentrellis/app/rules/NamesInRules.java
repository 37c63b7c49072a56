package org.opentrellis.app.rules;

import java.util.List;
import org.opentrellis.app.journeys.JourneyKind;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.names.NameUse;
import org.opentrellis.app.names.NamesElsewhere;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.reading.KnownNames;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The names that rules use; they follow as those of journeys do. */
@Component
@Transactional(readOnly = true)
class NamesInRules implements NamesElsewhere {
  private final Journeys journeys;

  NamesInRules(Journeys journeys) {
    this.journeys = journeys;
  }

  /** They stand among those of journeys. */
  @Override
  public KnownNames all() {
    return KnownNames.of(List.of());
  }

  @Override
  public List<NameUse> using(Name name) {
    return journeys.using(name, JourneyKind.RULE).stream()
        .map(rule -> new NameUse(NameUse.What.RULE, rule.name(), Long.toString(rule.id())))
        .toList();
  }
}
