package org.opentrellis.app.names;

import java.util.List;
import java.util.stream.Stream;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.NamesIn;
import org.opentrellis.core.journey.Strands;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Knows which names a journey uses that are not registered. */
@Service
@Transactional
class NewNames {
  private final Journeys journeys;
  private final Catalogues catalogues;
  private final RegisteredNames registered;

  NewNames(Journeys journeys, Catalogues catalogues, RegisteredNames registered) {
    this.journeys = journeys;
    this.catalogues = catalogues;
    this.registered = registered;
  }

  /**
   * @throws NotFound if there is no such journey
   */
  @Transactional(readOnly = true)
  List<NewName> in(long journey) {
    return unregistered(journey).map(NewNames::view).toList();
  }

  /**
   * Registers those that a journey uses.
   *
   * @return those that were not
   * @throws NotFound if there is no such journey
   */
  List<NewName> register(long journey) {
    List<Name> names = unregistered(journey).toList();
    names.forEach(registered::number);
    return names.stream().map(NewNames::view).toList();
  }

  private Stream<Name> unregistered(long id) {
    Journey journey = Strands.expand(journeys.find(id).journey(), catalogues.current());
    return NamesIn.of(journey)
        .distinct()
        .filter(name -> NameKind.of(name).isPresent() && registered.find(name).isEmpty());
  }

  private static NewName view(Name name) {
    NameKind kind = NameKind.of(name).orElseThrow();
    return new NewName(kind, name.value(), NameWords.unregistered(kind, name.value()));
  }
}
