package org.opentrellis.core.rule;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.happening.Line;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Money;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.machine.PersonState;
import org.opentrellis.core.machine.Standing;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.machine.Witness;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.replay.Replay;

/**
 * What happened to somebody since a moment, as their record tells it: tags and lists, carts, orders
 * and events, each at its own second. Of fields it is known how they are, not how they were.
 */
public final class RecentPast {
  private static final JourneyName NOWHERE = new JourneyName("Nowhere");

  private final PersonState before;
  private final List<Happening> since;

  private RecentPast(PersonState before, List<Happening> since) {
    this.before = before;
    this.since = since;
  }

  /**
   * A tag that somebody carries, or a list that they are on.
   *
   * @param since when they got it, in epoch seconds
   * @param until when they lost it, if they did
   */
  public record Carried(Name label, long since, @Nullable Long until) {
    boolean at(long moment) {
      return since <= moment && (until == null || until > moment);
    }
  }

  /**
   * @param now how they stand by their record
   * @param carried all that they carry or carried
   * @param otherwise what else happened to them, of which the record does not tell
   * @param from where the past begins that is looked at, in epoch seconds
   */
  public static RecentPast of(
      PersonState now,
      Collection<Carried> carried,
      Collection<? extends Happening> otherwise,
      long from) {
    Set<Name> labels = new HashSet<>();
    Set<Name> had = new HashSet<>();
    List<Happening> since = new ArrayList<>(otherwise);
    for (Carried one : carried) {
      if (one.at(from)) {
        labels.add(one.label());
      }
      if (one.since() <= from) {
        had.add(one.label());
      } else {
        since.add(labelled(one.label(), true, one.since()));
      }
      Long until = one.until();
      if (until != null && until > from) {
        since.add(labelled(one.label(), false, until));
      }
    }
    orders(now, from, since);
    carts(now, from, since);
    events(now, from, since);
    since.sort(Comparator.comparingLong(Happening::at));
    return new RecentPast(now.comingAt(from, NOWHERE).with(labels, had), since);
  }

  private static Happening labelled(Name label, boolean on, long at) {
    return switch (label) {
      case ListName list -> on ? new Happening.Joined(at, list) : new Happening.LeftList(at, list);
      case TagName tag -> on ? new Happening.Tagged(at, tag) : new Happening.Untagged(at, tag);
      default -> throw new IllegalArgumentException("neither a tag nor a list: " + label);
    };
  }

  private static void orders(PersonState now, long from, List<Happening> since) {
    Map<Long, List<PersonState.Purchase>> orders = new TreeMap<>();
    now.purchases().stream()
        .filter(one -> one.at() > from)
        .forEach(one -> orders.computeIfAbsent(one.at(), at -> new ArrayList<>()).add(one));
    orders.forEach(
        (at, lines) ->
            since.add(
                new Happening.Ordered(
                    at,
                    "order of " + at,
                    lines.stream().flatMap(one -> line(one.product(), one.cents())).toList(),
                    new Money(lines.stream().mapToLong(PersonState.Purchase::cents).sum()),
                    Optional.empty())));
  }

  /** The whole cart's value stands with each of its lines, so it is that of the first. */
  private static void carts(PersonState now, long from, List<Happening> since) {
    Map<Long, List<Line>> carts = new TreeMap<>();
    for (PersonState.CartLine one : now.carts()) {
      if (one.at() > from) {
        List<Line> lines = carts.computeIfAbsent(one.at(), at -> new ArrayList<>());
        line(one.product(), lines.isEmpty() ? one.cents() : 0).forEach(lines::add);
      }
    }
    carts.forEach((at, lines) -> since.add(new Happening.CartChanged(at, lines)));
  }

  private static Stream<Line> line(Optional<ProductName> product, long cents) {
    return product.map(name -> new Line(name, 1, new Money(cents))).stream();
  }

  private static void events(PersonState now, long from, List<Happening> since) {
    int number = 0;
    for (PersonState.Event one : now.events()) {
      if (one.at() > from) {
        since.add(
            new Happening.EventArrived(one.at(), "event " + number++, one.event(), one.payload()));
      }
    }
  }

  /**
   * How often a rule would have acted on them, had it been on.
   *
   * @param world with nothing but the rule
   * @param until up to when, in epoch seconds
   */
  public int acts(World world, Function<ZoneId, ZoneClock> clocks, long until) {
    Acts acts = new Acts();
    Replay replay =
        new Replay(
            Standing.thaw(before, world, clocks),
            (step, ways, visit) -> 0,
            (message, at) -> {},
            acts);
    for (Happening one : since) {
      if (one.at() <= until) {
        replay.passes(one.at());
        replay.takes(one);
      }
    }
    replay.passes(until);
    return acts.begun;
  }

  private static final class Acts implements Witness {
    private int begun;

    @Override
    public void begins(Visit visit) {
      begun++;
    }
  }
}
