package org.opentrellis.app.catalogue;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.NameTaken;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.http.SaveLost;
import org.opentrellis.app.messages.MessageLibrary;
import org.opentrellis.app.revisions.CatalogueChanged;
import org.opentrellis.app.revisions.Revisions;
import org.opentrellis.app.revisions.Snapshot;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Segment;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.journey.Strand;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** What journeys refer to: messages, strands and segments. */
@Service
@Transactional
public class Catalogues {
  private final SharedPartMapper mapper;
  private final MessageLibrary messages;
  private final Pressures pressures;
  private final Revisions revisions;
  private final ApplicationEventPublisher events;
  private final Clock clock;
  private final Snapshot<Catalogue> snapshot = new Snapshot<>();

  Catalogues(
      SharedPartMapper mapper,
      MessageLibrary messages,
      Pressures pressures,
      Revisions revisions,
      ApplicationEventPublisher events,
      Clock clock) {
    this.mapper = mapper;
    this.messages = messages;
    this.pressures = pressures;
    this.revisions = revisions;
    this.events = events;
    this.clock = clock;
  }

  /** As it is now. */
  public Catalogue current() {
    return revisions.see(Revisions.Kind.CATALOGUE, snapshot, last -> read());
  }

  private Catalogue read() {
    List<Strand> strands =
        mapper.all(SharedPartRow.STRAND).stream()
            .map(row -> Documents.readStrand(Json.tree(row.document())))
            .toList();
    List<Segment> segments =
        mapper.all(SharedPartRow.SEGMENT).stream()
            .map(row -> Documents.readSegment(Json.tree(row.document())))
            .toList();
    return new Catalogue(messages.all(), strands, segments, pressures.now().pressure());
  }

  List<StrandView> strands() {
    return mapper.all(SharedPartRow.STRAND).stream().map(Catalogues::strand).toList();
  }

  List<StrandView> strandVersions(String id) {
    return versions(SharedPartRow.STRAND, id).stream().map(Catalogues::strand).toList();
  }

  public List<SegmentView> segments() {
    return mapper.all(SharedPartRow.SEGMENT).stream().map(Catalogues::segment).toList();
  }

  List<SegmentView> segmentVersions(String name) {
    return versions(SharedPartRow.SEGMENT, name).stream().map(Catalogues::segment).toList();
  }

  private List<SharedPartRow> versions(String kind, String name) {
    find(kind, name);
    return mapper.versions(kind, name);
  }

  private SharedPartRow find(String kind, String name) {
    return mapper
        .find(kind, name)
        .orElseThrow(() -> NotFound.of(kind.toLowerCase(Locale.ROOT), name));
  }

  private static StrandView strand(SharedPartRow row) {
    return new StrandView(row.version(), row.savedAt(), Json.tree(row.document()));
  }

  private static SegmentView segment(SharedPartRow row) {
    return new SegmentView(row.version(), row.savedAt(), Json.tree(row.document()));
  }

  /**
   * Saves a strand over the version it was read at: every journey that includes it changes.
   *
   * @throws ProblemsFound if something in it is wrong, or it would include itself
   * @throws SaveLost if somebody else has saved since
   */
  StrandView save(Strand strand, StrandSave save) {
    revisions.hold();
    check(strand);
    String name = strand.id().value();
    if (!keep(strand.id(), SharedPartRow.STRAND, Documents.write(strand), save.version())) {
      throw new SaveLost(
          "Somebody else has saved this strand since you opened it.",
          strand(find(SharedPartRow.STRAND, name)),
          save);
    }
    return strand(find(SharedPartRow.STRAND, name));
  }

  /**
   * The same for a segment.
   *
   * @throws ProblemsFound if something in it is wrong
   * @throws SaveLost if somebody else has saved since
   */
  SegmentView save(Segment segment, SegmentSave save) {
    return save(segment, save.version(), save);
  }

  /**
   * The same.
   *
   * @param readAt the version it was read at; null for a new one
   * @param yours what was asked for, for the answer if somebody else has saved since
   */
  public SegmentView save(Segment segment, @Nullable Integer readAt, Object yours) {
    revisions.hold();
    check(segment);
    String name = segment.name().value();
    if (!keep(segment.name(), SharedPartRow.SEGMENT, Documents.write(segment), readAt)) {
      throw new SaveLost(
          "Somebody else has saved this segment since you opened it.",
          segment(find(SharedPartRow.SEGMENT, name)),
          yours);
    }
    return segment(find(SharedPartRow.SEGMENT, name));
  }

  /**
   * Puts a strand that comes with a file in the place of the one of its id, if there is one.
   *
   * @throws ProblemsFound if something in it is wrong, or it would include itself
   */
  public void replace(Strand strand) {
    revisions.hold();
    check(strand);
    replace(strand.id(), SharedPartRow.STRAND, Documents.write(strand));
  }

  /**
   * Keeps a new segment.
   *
   * @throws ProblemsFound if something in it is wrong
   * @throws NameTaken if there is one of that name
   */
  public void add(Segment segment) {
    revisions.hold();
    check(segment);
    if (!keep(segment.name(), SharedPartRow.SEGMENT, Documents.write(segment), null)) {
      throw NameTaken.of("segment", segment.name().value(), "/name");
    }
  }

  /**
   * The same for a segment, by its name.
   *
   * @throws ProblemsFound if something in it is wrong
   */
  public void replace(Segment segment) {
    revisions.hold();
    check(segment);
    replace(segment.name(), SharedPartRow.SEGMENT, Documents.write(segment));
  }

  /**
   * Deletes a segment with all its versions.
   *
   * @throws NotFound if there is none of that name
   */
  public void remove(SegmentName segment) {
    revisions.hold();
    find(SharedPartRow.SEGMENT, segment.value());
    mapper.deleteVersions(SharedPartRow.SEGMENT, segment.value());
    mapper.delete(SharedPartRow.SEGMENT, segment.value());
    revisions.grow(Revisions.Kind.CATALOGUE);
    events.publishEvent(new CatalogueChanged(segment));
  }

  private void replace(Name part, String kind, JsonNode document) {
    String name = part.value();
    Integer version = mapper.find(kind, name).map(SharedPartRow::version).orElse(null);
    if (!keep(part, kind, document, version)) {
      throw new SaveLost(
          "Somebody else has saved \u201c%s\u201d just now. Try again.".formatted(name),
          find(kind, name).document(),
          document);
    }
  }

  /** Whether nobody else has saved since; a new one must not be there yet. */
  private boolean keep(Name part, String kind, JsonNode document, @Nullable Integer readAt) {
    String name = part.value();
    int version = readAt == null ? 1 : readAt + 1;
    SharedPartRow row =
        new SharedPartRow(kind, name, Json.write(document), version, OffsetDateTime.now(clock));
    if (readAt == null) {
      if (mapper.find(kind, name).isPresent()) {
        return false;
      }
      mapper.insert(row);
    } else if (mapper.update(row) == 0) {
      return false;
    }
    mapper.keepVersion(row);
    revisions.grow(Revisions.Kind.CATALOGUE);
    events.publishEvent(new CatalogueChanged(part));
    return true;
  }

  private void check(Strand strand) {
    with(strand);
  }

  /**
   * As it would be with a strand in the place of the one of its id.
   *
   * @throws ProblemsFound if something in it is wrong, or it would include itself
   */
  public Catalogue with(Strand strand) {
    Catalogue changed = current().with(strand);
    Documents.check(new Catalogue(changed.messages(), changed.strands(), List.of()));
    return changed;
  }

  private void check(Segment segment) {
    Documents.check(new Catalogue(messages.all(), List.of(), List.of(segment)));
  }

  /** Refuses a document that is kept under another name than it says. */
  public static void requireSame(String address, String said, String place) {
    if (!address.equals(said)) {
      throw new ProblemsFound(
          List.of(
              new Problem(
                  "bad-value",
                  place,
                  "The address says \u201c%s\u201d, the document \u201c%s\u201d; they must be the same."
                      .formatted(address, said))));
    }
  }
}
