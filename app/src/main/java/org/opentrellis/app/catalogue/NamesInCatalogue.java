package org.opentrellis.app.catalogue;

import org.opentrellis.app.revisions.NameChanged;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.NameExchange;
import org.opentrellis.core.journey.Segment;
import org.opentrellis.core.journey.Strand;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Strands and segments follow when a name changes, with all their versions. */
@Component
class NamesInCatalogue {
  private final SharedPartMapper mapper;
  private final Catalogues catalogues;

  NamesInCatalogue(SharedPartMapper mapper, Catalogues catalogues) {
    this.mapper = mapper;
    this.catalogues = catalogues;
  }

  @EventListener
  @Order(1)
  void follow(NameChanged change) {
    NameExchange exchange = new NameExchange(change.before(), change.after());
    catalogues.current().strands().forEach(strand -> follow(strand, exchange));
    catalogues.current().segments().forEach(segment -> follow(segment, exchange));
    mapper
        .versionsHolding(change.text())
        .forEach(
            row -> {
              String document = exchanged(row, exchange);
              if (!document.equals(row.document())) {
                mapper.rewriteVersion(row.kind(), row.name(), row.version(), document);
              }
            });
  }

  private static String exchanged(SharedPartRow row, NameExchange exchange) {
    return Json.write(
        row.kind().equals(SharedPartRow.STRAND)
            ? Documents.write(exchange.in(Documents.readStrand(Json.tree(row.document()))))
            : Documents.write(exchange.in(Documents.readSegment(Json.tree(row.document())))));
  }

  private void follow(Strand strand, NameExchange exchange) {
    Strand renamed = exchange.in(strand);
    if (renamed != strand) {
      catalogues.replace(renamed);
    }
  }

  private void follow(Segment segment, NameExchange exchange) {
    Segment renamed = exchange.in(segment);
    if (renamed != segment) {
      catalogues.replace(renamed);
    }
  }
}
