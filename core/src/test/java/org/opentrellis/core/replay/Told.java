package org.opentrellis.core.replay;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.UnaryOperator;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.happening.MessageRef;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Witness;

/** Tells a replay of a history. */
final class Told {
  final Replay replay;
  private final List<Happening> pending = new ArrayList<>();

  /** What is done with the happenings of one moment before they are told. */
  UnaryOperator<List<Happening>> ofOneMoment = same -> same;

  /** Is run after each moment. */
  Runnable afterEach = () -> {};

  Told(Person person, Replay.Lots lots, Witness witness) {
    replay = new Replay(person, lots, this::goesOut, witness);
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
