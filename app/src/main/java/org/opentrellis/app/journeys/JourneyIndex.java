package org.opentrellis.app.journeys;

import java.util.ArrayList;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.revisions.Revisions;
import org.opentrellis.app.revisions.Snapshot;
import org.opentrellis.core.check.Neighbour;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.reading.KnownNames;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What is known of all journeys without reading one. */
@Component
@Transactional
class JourneyIndex {
  private final CardMapper mapper;
  private final Revisions revisions;
  private final Snapshot<Facts> snapshot = new Snapshot<>();

  JourneyIndex(CardMapper mapper, Revisions revisions) {
    this.mapper = mapper;
    this.revisions = revisions;
  }

  /**
   * By journey.
   *
   * @param names of those that are not archived, put together
   */
  private record Facts(long revision, SortedMap<Long, Fact> all, KnownNames names) {}

  private Facts facts() {
    return revisions.see(Revisions.Kind.FACTS, snapshot, this::renewed);
  }

  private Facts renewed(@Nullable Facts last) {
    List<FactsRow> changed = mapper.factsSince(last == null ? 0 : last.revision);
    SortedMap<Long, Fact> all = last == null ? new TreeMap<>() : new TreeMap<>(last.all);
    long revision = last == null ? 0 : last.revision;
    for (FactsRow row : changed) {
      all.put(row.id(), Fact.of(row));
      revision = Math.max(revision, row.revision());
    }
    List<KnownNames> names = new ArrayList<>();
    all.values().stream().filter(one -> !one.archived()).forEach(one -> names.add(one.names()));
    return new Facts(revision, all, KnownNames.of(names));
  }

  /** All journeys that are not archived. */
  List<Fact> current() {
    return facts().all.values().stream().filter(one -> !one.archived()).toList();
  }

  /** What the checks of one journey need to know of the others, and of rules. */
  List<Neighbour> neighboursOf(long journey) {
    return current().stream()
        .filter(one -> one.id() != journey && one.kind() != JourneyKind.NEWSLETTER)
        .map(Fact::neighbour)
        .toList();
  }

  /** The names that journeys use that are not archived. */
  KnownNames names() {
    return facts().names;
  }

  /** Journeys that use one of some names, archived ones too. */
  List<Long> using(List<Name> names) {
    return facts().all.values().stream()
        .filter(one -> names.stream().anyMatch(one.names()::has))
        .map(Fact::id)
        .toList();
  }
}
