package org.opentrellis.core.live;

import java.time.ZoneId;
import java.util.List;
import java.util.function.Function;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.happening.MessageRef;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Standing;
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
    Deeds deeds = new Deeds();
    Taking taking = new Taking(editions, before, clocks, deeds);
    List<Replay.Noted> noted = taking.takes(edition, told, quietly, now, lots, server);
    Life after = new Life(edition, Standing.freeze(taking.person()));
    GoalsMet.note(before.standing(), after.standing(), deeds);
    return new Done(
        after,
        deeds.all(),
        noted,
        taking.atOnce(),
        Math.min(taking.nextAt(), GoalsMet.nextAt(after.standing())));
  }
}
