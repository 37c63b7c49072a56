package org.opentrellis.app.names;

import java.util.List;
import java.util.stream.Stream;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.journey.StrandId;
import org.springframework.stereotype.Service;

/** Says what uses a name, itself or through a strand or a segment. */
@Service
public class NameUses {
  private final Journeys journeys;
  private final Catalogues catalogues;

  NameUses(Journeys journeys, Catalogues catalogues) {
    this.journeys = journeys;
    this.catalogues = catalogues;
  }

  /** The journeys first. */
  public List<NameUse> of(Name name) {
    Catalogue catalogue = catalogues.current();
    Stream<NameUse> using =
        journeys.using(name).stream()
            .map(one -> new NameUse(NameUse.What.JOURNEY, one.name(), one.id()));
    Stream<NameUse> parts =
        catalogue.usersOf(name).stream()
            .filter(one -> !one.equals(name))
            .flatMap(one -> part(one, catalogue));
    return Stream.concat(using, parts.sorted((a, b) -> a.name().compareTo(b.name()))).toList();
  }

  private static Stream<NameUse> part(Name user, Catalogue catalogue) {
    return switch (user) {
      case StrandId id ->
          catalogue.strand(id).stream()
              .map(strand -> new NameUse(NameUse.What.STRAND, strand.name(), null));
      case SegmentName segment ->
          Stream.of(new NameUse(NameUse.What.SEGMENT, segment.value(), null));
      // Nothing else is part of a catalogue and uses names.
      default -> Stream.empty();
    };
  }
}
