package org.opentrellis.app.demo;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.opentrellis.app.intake.SelfExplaining;
import org.opentrellis.app.names.NameEdit;
import org.opentrellis.app.names.NameKind;
import org.opentrellis.app.people.Acts;
import org.opentrellis.app.people.NewSegment;
import org.opentrellis.app.people.Orders;
import org.opentrellis.app.people.People;
import org.opentrellis.app.people.SegmentKeeping;
import org.opentrellis.core.format.Documents;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Brings the demo's people in, the way a user does, and keeps what they have bought. */
@Component
class DemoCrowd {
  private static final List<NewSegment> SEGMENTS =
      List.of(
          new NewSegment("Several hives", "have field hives at least 3"),
          new NewSegment("Members without a smoker", "are on list Members and did not buy Smoker"),
          new NewSegment("Lately bought", "bought anything in the last 60 days"));

  private final SelfExplaining intake;
  private final Acts acts;
  private final People people;
  private final Orders orders;
  private final SegmentKeeping segments;
  private final TransactionTemplate transaction;
  private final Clock clock;

  DemoCrowd(
      SelfExplaining intake,
      Acts acts,
      People people,
      Orders orders,
      SegmentKeeping segments,
      TransactionTemplate transaction,
      Clock clock) {
    this.intake = intake;
    this.acts = acts;
    this.people = people;
    this.orders = orders;
    this.segments = segments;
    this.transaction = transaction;
    this.clock = clock;
  }

  /** Brings in what is not there yet: whatever was cut off before goes on. */
  void come(int many, long seed) {
    DemoPeople crowd = new DemoPeople(many, seed, clock.instant(), prices());
    if (people.none()) {
      byte[] table = crowd.table().getBytes(StandardCharsets.UTF_8);
      intake.bringIn(
          "ambercomb.csv", table, "ticked a box on our website", Documents.USUAL_ZONE.getId());
    } else {
      acts.finish();
    }
    if (orders.none()) {
      transaction.executeWithoutResult(
          status -> {
            orders.keep(crowd.orders());
            SEGMENTS.forEach(segments::keep);
          });
    }
  }

  private static Map<String, Long> prices() {
    return DemoNames.all().stream()
        .filter(one -> one.kind() == NameKind.PRODUCT)
        .collect(Collectors.toMap(NameEdit::name, one -> Objects.requireNonNull(one.priceCents())));
  }
}
