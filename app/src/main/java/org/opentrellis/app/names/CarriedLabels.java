package org.opentrellis.app.names;

import java.util.Set;
import java.util.stream.Collectors;
import org.opentrellis.app.journeys.Carried;
import org.opentrellis.core.journey.Name;
import org.springframework.stereotype.Component;

@Component
class CarriedLabels implements Carried {
  private final NameMapper mapper;

  CarriedLabels(NameMapper mapper) {
    this.mapper = mapper;
  }

  @Override
  public Set<Name> now() {
    return mapper.carried().stream()
        .map(one -> one.kind().named(one.name()))
        .collect(Collectors.toUnmodifiableSet());
  }
}
