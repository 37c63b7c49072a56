package org.opentrellis.core.dryrun;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.FieldGuess;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.random.Draws;
import org.opentrellis.core.random.QuantileTable;

/** One audience group made ready to draw people from. Immutable. */
final class GroupDraws {
  /** Days of the background chances, which are given per 30 days. */
  private static final double CHANCE_SECONDS = 30 * 86_400.0;

  /** An event that happens to the group's people. */
  private record Background(int event, double meanSeconds, String name) {}

  /** A field that the group's people have something in. */
  private record Held(int field, FieldGuess guess, long address) {}

  final AudienceGroup group;

  /** Its number, from 0. */
  final int number;

  final double upTo;
  final ZoneClock clock;
  final QuantileTable keenness;

  /** Chances, in cells of a draw. */
  final long preloads;

  final long hardBounce;
  final long softBounce;
  final double buysAnywayMeanSeconds;
  final double comesAgainMeanSeconds;

  /** A draw below this means no purchase anyway until the horizon, without taking a logarithm. */
  final long buysNothingBelow;

  private final int[] marks;
  private final List<Held> fields = new ArrayList<>();
  private final List<Background> events = new ArrayList<>();
  final Guesses guesses;

  /**
   * @param upTo the shares of this group and of those before it
   */
  GroupDraws(AudienceGroup group, int number, double upTo, World world, CohortSettings settings) {
    this.group = group;
    this.number = number;
    this.upTo = upTo;
    int days = settings.arrivalDays() + settings.horizonDays() + 40;
    this.clock = ZoneClock.around(group.zone(), settings.start(), days);
    this.guesses = new Guesses(settings.startDay(), group.fields(), group.attributes());
    this.keenness = QuantileTable.beta(group.keenness().alpha(), group.keenness().beta());
    this.preloads = Draws.cells(group.preloads().value());
    this.hardBounce = Draws.cells(group.hardBounce().value());
    this.softBounce = Draws.cells(group.softBounce().value());
    this.buysAnywayMeanSeconds = meanSeconds(group.buysAnyway().value());
    this.buysNothingBelow =
        Draws.cells(
            StrictMath.exp(
                -(settings.horizonDays() + 1.0) * ZoneClock.DAY / buysAnywayMeanSeconds));
    this.comesAgainMeanSeconds = meanSeconds(group.comesAgain().value());
    this.marks =
        Stream.concat(
                group.tags().stream().map(world::label), group.lists().stream().map(world::label))
            .flatMapToInt(OptionalInt::stream)
            .sorted()
            .toArray();
    group.fields().forEach((name, guess) -> addField(name, guess, world));
    group
        .events()
        .forEach(
            (name, rate) ->
                world
                    .event(name)
                    .ifPresent(
                        event ->
                            events.add(
                                new Background(
                                    event, CHANCE_SECONDS / rate.value(), name.value()))));
  }

  private void addField(FieldName name, FieldGuess guess, World world) {
    world
        .field(name)
        .ifPresent(field -> fields.add(new Held(field, guess, Guesses.addressOf(name))));
  }

  /** The tags and lists that the record begins with, as bits; those from 64 on are not there. */
  long marksAsBits() {
    long bits = 0;
    for (int mark : marks) {
      bits |= mark < Long.SIZE ? 1L << mark : 0;
    }
    return bits;
  }

  /** What a person's record says before anything happens. */
  void fillRecord(Person person, long key) {
    for (int mark : marks) {
      person.carries(mark);
    }
    for (int i = 0; i < fields.size(); i++) {
      Held held = fields.get(i);
      person.field(held.field, guesses.value(held.guess, key, held.address));
    }
  }

  /** The named events that happen to a person in the background. */
  void addEvents(Person person, long key, long from, long to) {
    for (int i = 0; i < events.size(); i++) {
      Background one = events.get(i);
      double at = from;
      for (int n = 0; ; n++) {
        long address = Draws.address(Purposes.EVENT, one.name + "/" + n);
        at += Draws.exponential(key, address, one.meanSeconds);
        if (!(at <= to)) {
          break;
        }
        person.experiences((long) at, one.event, guesses.payload(key, one.name + "/" + n));
      }
    }
  }

  /** The mean of the exponential that happens within 30 days with this chance. */
  private static double meanSeconds(double chance) {
    return chance == 0 ? Double.POSITIVE_INFINITY : -CHANCE_SECONDS / StrictMath.log1p(-chance);
  }

  static List<GroupDraws> all(List<AudienceGroup> groups, World world, CohortSettings settings) {
    List<GroupDraws> all = new ArrayList<>();
    double upTo = 0;
    for (AudienceGroup group : groups) {
      upTo += group.share();
      all.add(new GroupDraws(group, all.size(), upTo, world, settings));
    }
    return all;
  }

  static GroupDraws of(long key, List<GroupDraws> all) {
    if (all.size() == 1) {
      return all.get(0);
    }
    double u = Draws.uniform(key, Purposes.GROUP);
    for (GroupDraws group : all) {
      if (u < group.upTo) {
        return group;
      }
    }
    return all.get(all.size() - 1);
  }
}
