package org.opentrellis.app.intake;

import jakarta.annotation.PreDestroy;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.people.Act;
import org.opentrellis.app.people.ActKind;
import org.opentrellis.app.people.ActState;
import org.opentrellis.app.people.ActWork;
import org.opentrellis.app.people.Arrivals;
import org.opentrellis.app.people.Brought;
import org.opentrellis.app.people.Forgotten;
import org.opentrellis.app.people.Terms;
import org.opentrellis.app.storage.Quietly;
import org.opentrellis.core.intake.TableForm;
import org.springframework.stereotype.Component;
import tools.jackson.databind.ObjectMapper;

/**
 * Brings tables in, a piece at a time; how far it is stands with the act, so a crash loses none.
 */
@Component
class TableWork implements ActWork {
  private static final int PIECE = 10_000;

  private final TableMapper mapper;
  private final TablePlans plans;
  private final Arrivals arrivals;
  private final Forgotten forgotten;
  private final ObjectMapper json;

  private final ExecutorService reader =
      Executors.newSingleThreadExecutor(task -> new Thread(task, "table-reader"));

  /** The table that is being read, where the piece before has left off. */
  private @Nullable Open open;

  TableWork(
      TableMapper mapper,
      TablePlans plans,
      Arrivals arrivals,
      Forgotten forgotten,
      ObjectMapper json) {
    this.mapper = mapper;
    this.plans = plans;
    this.arrivals = arrivals;
    this.forgotten = forgotten;
    this.json = json;
  }

  private record Open(long act, ReadAhead reading, Terms terms) {}

  @Override
  public ActKind kind() {
    return ActKind.TABLE;
  }

  @Override
  public Act forward(Act act) {
    TableRecord table = mapper.ofAct(act.id());
    Open now = opened(act, table);
    TableReading.Piece piece = now.reading().next();
    if (piece.rows() == 0) {
      close();
      mapper.letGo(table.id());
      return act.as(ActState.DONE);
    }
    Brought brought = arrivals.bring(act, piece.people(), now.terms());
    mapper.added(table.id(), brought.first(), brought.last());
    piece.refused().forEach(row -> mapper.refuse(table.id(), row));
    return act.further(piece.rows(), piece.last(), brought.changed(), 0)
        .brought(brought.added(), piece.refused().size());
  }

  /** After a crash, or a piece that was left out, it is read anew up to where it was kept. */
  private Open opened(Act act, TableRecord table) {
    if (open != null && open.act() == act.id() && open.reading().last() == act.place()) {
      return open;
    }
    close();
    TableOrder order = json.readValue(Objects.requireNonNull(table.terms()), TableOrder.class);
    TableReading reading =
        new TableReading(
            mapper.content(table.id()).orElseThrow().content(),
            new TableForm(table.encoding(), table.delimiter(), table.header()),
            plans.plan(order),
            forgotten);
    ReadAhead ahead = new ReadAhead(reading, act.place(), PIECE, reader);
    Open fresh = new Open(act.id(), ahead, plans.terms(order, table.name()));
    open = fresh;
    return fresh;
  }

  private void close() {
    if (open != null) {
      open.reading().close();
      open = null;
    }
  }

  @PreDestroy
  void end() {
    Quietly.end(reader);
  }

  @Override
  public Act back(Act act) {
    close();
    TableRecord table = mapper.ofAct(act.id());
    Act after =
        arrivals.back(
            act,
            Optional.ofNullable(table.firstAdded()).orElse(0L),
            Optional.ofNullable(table.lastAdded()).orElse(-1L));
    if (after.state().isOver()) {
      mapper.letGo(table.id());
    }
    return after;
  }
}
