package org.opentrellis.core.live;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.happening.MessageRef;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Standing;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.machine.Witness;
import org.opentrellis.core.replay.Replay;

/** Takes somebody's turns, one after the other, with what surrounds the machine in each. */
final class Taking {
  private final Editions editions;
  private final Replay replay;
  private final Optional<Deeds> deeds;
  private final List<Happening.OfMessage> atOnce = new ArrayList<>();
  private Replay.Lots lots = (step, ways, visit) -> 0;
  private LiveTurn.MailServer server = LiveTurn.MailServer.LATER;
  private int edition;

  /**
   * @param life as it stands, to be taken up
   * @param witness is told what the machine does; deeds hear of lots, too
   */
  Taking(Editions editions, Life life, Function<ZoneId, ZoneClock> clocks, Witness witness) {
    this.editions = editions;
    this.edition = life.edition();
    this.deeds = witness instanceof Deeds written ? Optional.of(written) : Optional.empty();
    Person person = Standing.thaw(life.standing(), editions.world(edition), clocks);
    replay = new Replay(person, this::lot, this::goesOut, witness);
  }

  /** A turn: brought to an edition, told what happened, and all that is due done. */
  List<Replay.Noted> takes(
      int to,
      List<? extends Happening> told,
      List<? extends Happening> quietly,
      long now,
      Replay.Lots fall,
      LiveTurn.MailServer answers) {
    lots = fall;
    server = answers;
    while (edition < to) {
      edition++;
      bring(edition, now);
    }
    List<Replay.Noted> noted = replay.takes(told, quietly, now);
    replay.person().visits().forEach(GoalsMet::lookAhead);
    return noted;
  }

  Person person() {
    return replay.person();
  }

  long nextAt() {
    return replay.nextAt();
  }

  /** Writes down who is still where. */
  void close() {
    replay.close();
  }

  /** What the mail server said at once. */
  List<Happening.OfMessage> atOnce() {
    return List.copyOf(atOnce);
  }

  private int lot(int step, double[] ways, Visit visit) {
    int way = lots.way(step, ways, visit);
    deeds.ifPresent(written -> written.lotDrawn(step, way, visit));
    return way;
  }

  private void goesOut(MessageRef message, long at) {
    for (Happening.OfMessage answer : server.answers(message, at)) {
      atOnce.add(answer);
      replay.notes(answer);
    }
  }

  private void bring(int next, long now) {
    switch (editions.change(next)) {
      case Edition.Opened opened ->
          replay.goesOnIn(
              editions.world(next),
              opened.takesAlong() ? Optional.of(opened.journey()) : Optional.empty(),
              now);
      case Edition.Closed closed -> replay.goesOnIn(editions.world(next), Optional.empty(), now);
      case Edition.Pressed pressed -> {
        replay.goesOnIn(editions.world(next), Optional.empty(), now);
        replay.looksAgain();
      }
      case Edition.Stopped stopped -> {
        replay.stops(stopped.journey(), now);
        replay.goesOnIn(editions.world(next), Optional.empty(), now);
      }
    }
  }
}
