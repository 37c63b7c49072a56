package org.opentrellis.app.live;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.http.Incident;
import org.opentrellis.app.letters.Pauses;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.happening.Happening;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;

/**
 * Those whose turn fails, which is a fault of ours: it is tried again after a growing pause, with
 * what they were to be told, and nobody else waits for them.
 */
@Service
@Transactional
class PutOff {
  private final PutOffMapper mapper;
  private final AccountClock clock;

  PutOff(PutOffMapper mapper, AccountClock clock) {
    this.mapper = mapper;
    this.clock = clock;
  }

  /** Puts somebody's turn off; what they were to be told before is kept. */
  void until(long person, long dueAt, List<? extends Happening> told, Throwable why) {
    Optional<PutOffMapper.PutOffRow> before = mapper.find(person);
    List<Happening> all = new ArrayList<>(before.map(PutOff::read).orElse(List.of()));
    all.addAll(told);
    int tries = before.map(PutOffMapper.PutOffRow::tries).orElse(0);
    mapper.keep(
        new PutOffMapper.PutOffRow(
            person,
            written(all),
            tries + 1,
            Math.max(dueAt, clock.now()) + Pauses.after(tries),
            "incident %s in the server\u2019s log".formatted(Incident.noted(why).number())));
  }

  /** Whether anybody is. */
  boolean any() {
    return mapper.any();
  }

  /** What somebody is to be told besides. */
  List<Happening> told(long person) {
    return mapper.find(person).map(PutOff::read).orElse(List.of());
  }

  /** Their turn has been taken. */
  void over(long person) {
    mapper.over(person);
  }

  private static String written(List<Happening> told) {
    ArrayNode all = JsonNodeFactory.instance.arrayNode();
    told.forEach(one -> all.add(Documents.write(one)));
    return Json.write(all);
  }

  private static List<Happening> read(PutOffMapper.PutOffRow row) {
    return Json.tree(row.told()).valueStream().map(Documents::readHappening).toList();
  }
}
