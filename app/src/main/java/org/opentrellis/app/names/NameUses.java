package org.opentrellis.app.names;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.messages.WrittenNames;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.journey.StrandId;
import org.opentrellis.core.reading.KnownNames;
import org.springframework.stereotype.Service;

/**
 * Says what uses a name, itself or through a strand or a segment: journeys, messages and what else
 * there is.
 */
@Service
public class NameUses {
  private final Journeys journeys;
  private final Catalogues catalogues;
  private final WrittenNames messages;
  private final List<NamesElsewhere> elsewhere;

  NameUses(
      Journeys journeys,
      Catalogues catalogues,
      WrittenNames messages,
      List<NamesElsewhere> elsewhere) {
    this.journeys = journeys;
    this.catalogues = catalogues;
    this.messages = messages;
    this.elsewhere = elsewhere;
  }

  /** The names that are used, registered or not. */
  public KnownNames inUse() {
    return KnownNames.of(
        Stream.concat(
                Stream.of(journeys.namesInUse(), messages.all()),
                elsewhere.stream().map(NamesElsewhere::all))
            .toList());
  }

  /** The journeys first. */
  public List<NameUse> of(Name name) {
    Catalogue catalogue = catalogues.current();
    Stream<NameUse> using =
        journeys.using(name).stream()
            .map(one -> new NameUse(NameUse.What.JOURNEY, one.name(), Long.toString(one.id())));
    Stream<NameUse> parts =
        catalogue.usersOf(name).stream()
            .filter(one -> !one.equals(name))
            .flatMap(one -> part(one, catalogue));
    Stream<NameUse> written =
        messages.using(name).stream()
            .map(one -> new NameUse(NameUse.What.MESSAGE, one.name(), one.id()));
    Stream<NameUse> others = elsewhere.stream().flatMap(one -> one.using(name).stream());
    return Stream.of(using, parts.sorted(Comparator.comparing(NameUse::name)), written, others)
        .flatMap(uses -> uses)
        .toList();
  }

  private static Stream<NameUse> part(Name user, Catalogue catalogue) {
    return switch (user) {
      case StrandId id ->
          catalogue.strand(id).stream()
              .map(strand -> new NameUse(NameUse.What.STRAND, strand.name(), id.value()));
      case SegmentName segment ->
          Stream.of(new NameUse(NameUse.What.SEGMENT, segment.value(), null));
      // Nothing else is part of a catalogue and uses names.
      default -> Stream.empty();
    };
  }
}
