package org.opentrellis.core.live;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.happening.MessageRef;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Standing;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.replay.Replay;

/**
 * One person's turn: taken up as they stand, brought to what is open now, told what happened, and
 * put down again with all that was due done. What comes of it depends on nothing else, so it does
 * not matter who takes it, where, or how often it is tried.
 */
public final class LiveTurn {
  private final Editions editions;
  private final Function<ZoneId, ZoneClock> clocks;

  /**
   * @param clocks by zone; one that is quick around the present
   */
  public LiveTurn(Editions editions, Function<ZoneId, ZoneClock> clocks) {
    this.editions = editions;
    this.clocks = clocks;
  }

  /** What becomes of messages at the moment at which they go out. */
  @FunctionalInterface
  public interface MailServer {
    /** One that says nothing at once. */
    MailServer LATER = (message, at) -> List.of();

    List<Happening.OfMessage> answers(MessageRef message, long at);
  }

  /**
   * What came of a turn.
   *
   * @param deeds in the order in which they were done
   * @param noted what became of each happening, in the order of their times
   * @param atOnce what the mail server said at once
   * @param nextAt when something is due next, as far as is known, or {@link Person#NEVER}
   */
  public record Done(
      Life life,
      List<Deed> deeds,
      List<Replay.Noted> noted,
      List<Happening.OfMessage> atOnce,
      long nextAt) {}

  /**
   * Takes a turn in the newest edition.
   *
   * @param told what became known since the last turn, none of it twice; nothing that lies ahead
   * @param now epoch seconds
   * @param lots which way lots fall
   */
  public Done take(Life before, List<? extends Happening> told, long now, Replay.Lots lots) {
    return take(before, editions.newest(), told, List.of(), now, lots, MailServer.LATER);
  }

  /**
   * The same in an edition that was the newest once.
   *
   * @param quietly what became known likewise, and brings them nowhere
   */
  public Done take(
      Life before,
      int edition,
      List<? extends Happening> told,
      List<? extends Happening> quietly,
      long now,
      Replay.Lots lots,
      MailServer server) {
    Taking taking = new Taking(lots, server);
    Person person = Standing.thaw(before.standing(), editions.world(before.edition()), clocks);
    Replay replay = taking.replay(person);
    for (int next = before.edition() + 1; next <= edition; next++) {
      bring(replay, next, now);
    }
    List<Replay.Noted> noted = replay.takes(told, quietly, now);
    replay.person().visits().forEach(GoalsMet::lookAhead);
    Life after = new Life(edition, Standing.freeze(replay.person()));
    GoalsMet.note(before.standing(), after.standing(), taking.deeds);
    return new Done(
        after,
        taking.deeds.all(),
        noted,
        List.copyOf(taking.atOnce),
        Math.min(replay.nextAt(), GoalsMet.nextAt(after.standing())));
  }

  /** What surrounds the machine in one turn, and what it writes down. */
  private static final class Taking {
    private final Replay.Lots lots;
    private final MailServer server;
    private final Deeds deeds = new Deeds();
    private final List<Happening.OfMessage> atOnce = new ArrayList<>();
    private @Nullable Replay replay;

    Taking(Replay.Lots lots, MailServer server) {
      this.lots = lots;
      this.server = server;
    }

    Replay replay(Person person) {
      replay = new Replay(person, this::lot, this::goesOut, deeds);
      return replay;
    }

    private int lot(int step, double[] ways, Visit visit) {
      int way = lots.way(step, ways, visit);
      deeds.lotDrawn(step, way, visit);
      return way;
    }

    private void goesOut(MessageRef message, long at) {
      for (Happening.OfMessage answer : server.answers(message, at)) {
        atOnce.add(answer);
        Objects.requireNonNull(replay).notes(answer);
      }
    }
  }

  private void bring(Replay replay, int edition, long now) {
    switch (editions.change(edition)) {
      case Edition.Opened opened ->
          replay.goesOnIn(
              editions.world(edition),
              opened.takesAlong() ? Optional.of(opened.journey()) : Optional.empty(),
              now);
      case Edition.Closed closed -> replay.goesOnIn(editions.world(edition), Optional.empty(), now);
      case Edition.Stopped stopped -> {
        replay.stops(stopped.journey(), now);
        replay.goesOnIn(editions.world(edition), Optional.empty(), now);
      }
    }
  }
}
