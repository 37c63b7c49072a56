package org.opentrellis.core.live;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.happening.MessageRef;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyState;
import org.opentrellis.core.journey.Product;
import org.opentrellis.core.machine.PersonState;
import org.opentrellis.core.replay.Replay;

/**
 * A private run of a journey for one person: opened for them alone, and lived from its beginning by
 * what they did in it. Mail arrives at the moment at which it goes out.
 *
 * @param lines what happened, in the order in which it did
 * @param life how they stand at the end
 * @param now to which their clock has been turned, in epoch seconds
 * @param nextAt when something is due next, or {@link org.opentrellis.core.machine.Person#NEVER}
 */
public record Tryout(List<Line> lines, Life life, long now, long nextAt) {
  public Tryout {
    lines = List.copyOf(lines);
  }

  /**
   * The clock is turned on to a moment, at which something may happen.
   *
   * @param what dated then or before
   */
  public record Act(long at, Optional<Happening> what) {}

  /** Something that happened, or that the machine did. */
  public sealed interface Line {
    long at();
  }

  public record Told(Happening what) implements Line {
    @Override
    public long at() {
      return what.at();
    }
  }

  public record Done(Deed what) implements Line {
    @Override
    public long at() {
      return what.at();
    }
  }

  /**
   * Lives it.
   *
   * @param plan as it is to be tried, whatever its state
   * @param begun the person before anything happens
   * @param lots which way lots fall
   * @param acts in order of time, at least one
   */
  public static Tryout of(
      Journey plan,
      Catalogue catalogue,
      List<Product> products,
      PersonState begun,
      Replay.Lots lots,
      List<Act> acts,
      Function<ZoneId, ZoneClock> clocks) {
    Journey open = plan.edit().state(JourneyState.OPEN).done();
    Editions editions = Editions.none(products).and(new Edition.Opened(open, 1, catalogue, true));
    LiveTurn turns = new LiveTurn(editions, clocks);
    List<Line> lines = new ArrayList<>();
    Life life = new Life(editions.newest(), begun);
    long nextAt = 0;
    for (Act act : acts) {
      List<Happening> told = act.what().stream().toList();
      LiveTurn.Done done =
          turns.take(life, life.edition(), told, List.of(), act.at(), lots, Tryout::arrivesAtOnce);
      told.forEach(what -> lines.add(new Told(what)));
      done.deeds().forEach(deed -> lines.add(new Done(deed)));
      life = done.life();
      nextAt = done.nextAt();
    }
    return new Tryout(lines, life, acts.getLast().at(), nextAt);
  }

  private static List<Happening.OfMessage> arrivesAtOnce(MessageRef message, long at) {
    return List.of(new Happening.Delivered(at, message));
  }

  /** Whether they entered and are through, or have left, or never got in. */
  public boolean isOver() {
    return life.standing().visits().stream().allMatch(visit -> visit.step().isEmpty())
        && life.standing().coming().isEmpty();
  }
}
