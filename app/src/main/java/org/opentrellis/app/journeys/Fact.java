package org.opentrellis.app.journeys;

import java.util.Map;
import java.util.SortedSet;
import java.util.TreeSet;
import org.opentrellis.core.check.Neighbour;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.reading.KnownNames;

/**
 * What the other journeys need to know of one.
 *
 * @param names that it uses, without those of its steps
 */
record Fact(
    long id,
    JourneyKind kind,
    String name,
    boolean archived,
    Neighbour neighbour,
    KnownNames names) {
  private record Kept(Map<String, TreeSet<String>> names) {}

  static Fact of(FactsRow row) {
    return new Fact(
        row.id(),
        row.kind(),
        row.name(),
        row.archived(),
        Json.read(row.neighbour(), Neighbour.class),
        KnownNames.of(Json.read(row.names(), Kept.class).names));
  }

  static Fact of(KeptJourney kept, Neighbour neighbour) {
    Map<String, SortedSet<String>> names =
        new java.util.TreeMap<>(
            KnownNames.in(java.util.List.of(kept.journey(), kept.behaviour())).byKind());
    names.remove(StepId.class.getSimpleName());
    return new Fact(
        kept.id(),
        kept.kind(),
        kept.journey().name(),
        kept.archived(),
        neighbour,
        KnownNames.of(names));
  }

  String writtenNames() {
    return Json.write(Map.of("names", names.byKind()));
  }

  boolean sameAs(Fact other) {
    return name.equals(other.name)
        && archived == other.archived
        && neighbour.equals(other.neighbour)
        && names.byKind().equals(other.names.byKind());
  }
}
