package org.opentrellis.app.catalogue;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import org.opentrellis.app.messages.MessageLibrary;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Segment;
import org.opentrellis.core.journey.Strand;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** What journeys refer to: messages, strands and segments. */
@Service
@Transactional
public class Catalogues {
  private final SharedPartMapper mapper;
  private final MessageLibrary messages;
  private final Clock clock;

  Catalogues(SharedPartMapper mapper, MessageLibrary messages, Clock clock) {
    this.mapper = mapper;
    this.messages = messages;
    this.clock = clock;
  }

  /** As it is now. */
  public Catalogue current() {
    List<Strand> strands =
        mapper.all(SharedPartRow.STRAND).stream()
            .map(row -> Documents.readStrand(Json.tree(row.document())))
            .toList();
    List<Segment> segments =
        mapper.all(SharedPartRow.SEGMENT).stream()
            .map(row -> Documents.readSegment(Json.tree(row.document())))
            .toList();
    return new Catalogue(messages.all(), strands, segments);
  }

  List<JsonNode> documents(String kind) {
    return mapper.all(kind).stream().map(row -> Json.tree(row.document())).toList();
  }

  /**
   * Keeps a strand, over the one of its id if there is one: every journey that includes it changes.
   *
   * @throws ProblemsFound if something in it is wrong, or it would include itself
   */
  public void keep(Strand strand) {
    List<Strand> others =
        current().strands().stream().filter(one -> !one.id().equals(strand.id())).toList();
    List<Strand> all =
        java.util.stream.Stream.concat(others.stream(), java.util.stream.Stream.of(strand))
            .toList();
    Documents.check(new Catalogue(messages.all(), all, List.of()));
    keep(SharedPartRow.STRAND, strand.id().value(), Json.write(Documents.write(strand)));
  }

  /**
   * Keeps a segment, over the one of its name if there is one.
   *
   * @throws ProblemsFound if something in it is wrong
   */
  public void keep(Segment segment) {
    Documents.check(new Catalogue(messages.all(), List.of(), List.of(segment)));
    keep(SharedPartRow.SEGMENT, segment.name().value(), Json.write(Documents.write(segment)));
  }

  private void keep(String kind, String name, String document) {
    mapper.keep(new SharedPartRow(kind, name, document, OffsetDateTime.now(clock)));
  }

  /** Refuses a document that is kept under another name than it says. */
  static void requireSame(String address, String said, String place) {
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
