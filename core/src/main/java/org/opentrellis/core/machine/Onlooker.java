package org.opentrellis.core.machine;

import java.time.ZoneId;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Product;
import org.opentrellis.core.journey.Purpose;

/**
 * Asks a condition about people outside of any journey, as a segment does: what a journey sent is
 * unknown, nobody came by anything, and "since entry" is ever. It is the question that a journey
 * asks, so it has the same answer.
 */
public final class Onlooker {
  private final World world;
  private final Program program;
  private final Question who;

  /**
   * @param catalogue with the segments that the condition asks about; one that is not there holds
   *     for nobody
   * @param products what the shop sells, with their categories
   */
  public Onlooker(Condition who, Catalogue catalogue, List<Product> products) {
    Journey asking =
        Journey.empty("Nowhere", Purpose.OTHER).edit().entryFilter(Optional.of(who)).done();
    this.world = World.compile(List.of(asking), catalogue, products);
    this.program = world.programs().get(0);
    this.who = Objects.requireNonNull(program.entryFilter());
  }

  /**
   * Whether the condition holds for somebody.
   *
   * @param at in epoch seconds; not before the present of the person
   * @param clocks by zone
   */
  public boolean holds(PersonState person, long at, Function<ZoneId, ZoneClock> clocks) {
    Person looked = Standing.thaw(person, world, clocks);
    Visit visit = new Visit(program, looked);
    visit.watchesOnly();
    visit.clock = looked.clock;
    return who.holds(visit, at);
  }
}
