package org.opentrellis.core.format;

import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Segment;
import org.opentrellis.core.journey.Strand;
import tools.jackson.databind.JsonNode;

/** Packs a journey with all that it names into a file. */
public final class Packing {
  private final Catalogue catalogue;
  private final Set<String> messages = new HashSet<>();
  private final Set<Strand> strands = new HashSet<>();
  private final Set<Segment> segments = new HashSet<>();

  private Packing(Catalogue catalogue) {
    this.catalogue = catalogue;
  }

  /**
   * The journey with those parts of a catalogue that it names, or that one of these names. What is
   * named and is not there stays out.
   */
  public static JourneyFile of(Journey journey, Catalogue catalogue, Behaviour behaviour) {
    Packing packing = new Packing(catalogue);
    packing.look(Documents.write(journey));
    return new JourneyFile(
        JourneyFile.VERSION,
        journey,
        catalogue.messages().stream()
            .filter(message -> packing.messages.contains(message.id().value()))
            .toList(),
        catalogue.strands().stream().filter(packing.strands::contains).toList(),
        catalogue.segments().stream().filter(packing.segments::contains).toList(),
        Optional.of(behaviour));
  }

  /** Every name stands in a field that is called after what it names. */
  private void look(JsonNode node) {
    node.propertyStream()
        .filter(field -> field.getValue().isString())
        .forEach(field -> named(field.getKey(), field.getValue().asString()));
    node.forEach(this::look);
  }

  private void named(String field, String name) {
    switch (field) {
      case "message" -> messages.add(name);
      case "strand" ->
          catalogue.strands().stream()
              .filter(strand -> strand.id().value().equals(name) && strands.add(strand))
              .forEach(strand -> look(Documents.write(strand)));
      case "segment" ->
          catalogue.segments().stream()
              .filter(segment -> segment.name().value().equals(name) && segments.add(segment))
              .forEach(segment -> look(Documents.write(segment)));
      default -> {}
    }
  }
}
