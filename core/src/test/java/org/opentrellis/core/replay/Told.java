package org.opentrellis.core.replay;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.UnaryOperator;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.happening.MessageRef;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.PersonState;
import org.opentrellis.core.machine.Standing;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.walk.Diary;
import org.opentrellis.core.walk.Turn;

/** Tells a replay of a history. */
final class Told {
  final Replay replay;
  private final List<Happening> pending = new ArrayList<>();

  /** What is done with the happenings of one moment before they are told. */
  UnaryOperator<List<Happening>> ofOneMoment = same -> same;

  /** Is run after each moment. */
  Runnable afterEach = () -> {};

  private final Diary diary = new Diary();
  private final Lines lines = new Lines();
  private int collected;

  Told(Person person, Replay.Lots lots) {
    replay = new Replay(person, lots, this::goesOut, diary);
  }

  /** What the machine did so far. */
  Lines lines() {
    List<Turn> turns = diary.turns();
    lines.add(replay.person().world(), turns.subList(collected, turns.size()));
    collected = turns.size();
    return lines;
  }

  /** Puts the person down and takes them up in another world, or the same. */
  void moveInto(World world) {
    lines();
    Person person = replay.person();
    PersonState down = Standing.freeze(person);
    Person up = Standing.thaw(down, world, zone -> person.clock().in(zone));
    assertThat(Standing.freeze(up)).isEqualTo(down);
    replay.person(up);
  }

  /** Tells of each thing at its moment, while somebody is there to do what is due. */
  void asItHappens(List<Happening> history, long end) {
    pending.addAll(history);
    pending.sort(Comparator.comparingLong(Happening::at));
    while (!pending.isEmpty() && pending.get(0).at() <= end) {
      long at = pending.get(0).at();
      replay.passes(at - 1);
      List<Happening> now = pending.stream().filter(one -> one.at() == at).toList();
      replay.takes(ofOneMoment.apply(now), at);
      pending.removeIf(one -> one.at() == at);
      afterEach.run();
    }
    replay.passes(end);
    replay.close();
  }

  /** What a mail server says of a message at once is known as soon as it goes out. */
  private void goesOut(MessageRef message, long at) {
    for (Happening one : List.copyOf(pending)) {
      if (one instanceof Happening.OfMessage of && one.at() == at && of.message().equals(message)) {
        replay.notes(of);
      }
    }
  }
}
