package org.opentrellis.app.people;

import java.time.Clock;
import java.util.List;
import java.util.Objects;
import org.springframework.stereotype.Component;

/** Does the same to many people, and takes back what was done to one or to many. */
@Component
class ManyWork implements ActWork {
  /** So many people are done in one transaction. */
  static final int PIECE = 2_000;

  private final ActMapper mapper;
  private final ChangeWriter writer;
  private final Clock clock;

  ManyWork(ActMapper mapper, ChangeWriter writer, Clock clock) {
    this.mapper = mapper;
    this.writer = writer;
    this.clock = clock;
  }

  @Override
  public ActKind kind() {
    return ActKind.MANY;
  }

  @Override
  public Act forward(Act act) {
    List<Long> people = mapper.next(act.id(), act.place(), PIECE);
    if (people.isEmpty()) {
      return act.as(ActState.DONE);
    }
    long last = people.getLast();
    Where these =
        new Where()
            .add("p.id > ")
            .value(act.place())
            .add(" and p.id <= ")
            .value(last)
            .add(" and exists (select 1 from act_person a where a.act_id = ")
            .value(act.id())
            .add(" and a.person_id = p.id)");
    mapper.lock(these);
    List<ChangeRow> changes = changes(act, these);
    writer.record(act.id(), changes);
    writer.apply(changes);
    writer.tell(act.id(), now(), changes, "by hand" + others(act));
    writer.announce(changes, now(), false);
    return act.further(people.size(), last, writer.markChanged(changes), 0);
  }

  private static String others(Act act) {
    long others = act.size() - 1;
    return others < 1 ? "" : others == 1 ? " with one other" : " with %,d others".formatted(others);
  }

  private List<ChangeRow> changes(Act act, Where these) {
    return switch (Objects.requireNonNull(act.change())) {
      case TAG, PUT_ON_LIST -> mapper.toLabel(these, name(act), "by hand", now());
      case UNTAG, TAKE_OFF_LIST -> mapper.toUnlabel(these, name(act), now());
      case SET_FIELD, CLEAR_FIELD -> mapper.toFill(these, name(act), act.given());
      case STOP_MAILING -> mapper.toUnsubscribe(these, "stopped by hand", now());
    };
  }

  private static long name(Act act) {
    return Objects.requireNonNull(act.nameId());
  }

  private long now() {
    return clock.instant().getEpochSecond();
  }

  @Override
  public Act back(Act act) {
    List<Long> people =
        mapper.changedNext(act.id(), act.place(), PIECE).stream().distinct().toList();
    if (people.isEmpty()) {
      return act.as(ActState.TAKEN_BACK);
    }
    return back(act, people.getLast()).further(people.size(), people.getLast(), 0, 0);
  }

  /** Takes back what was changed of people up to a number, and counts what stays. */
  Act back(Act act, long last) {
    mapper.lock(
        new Where()
            .add("p.id > ")
            .value(act.place())
            .add(" and p.id <= ")
            .value(last)
            .add(" and exists (select 1 from act_change c where c.act_id = ")
            .value(act.id())
            .add(" and c.person_id = p.id)"));
    List<ChangeRow> still =
        mapper.stillSo(act.id(), act.place(), last).stream().map(ChangeRow::back).toList();
    writer.apply(still);
    writer.tell(act.id(), now(), still, "taken back");
    writer.announce(still, now(), true);
    writer.markChanged(still);
    long stayed = mapper.countChanges(act.id(), act.place(), last) - still.size();
    return act.further(0, act.place(), 0, stayed);
  }
}
