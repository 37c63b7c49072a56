package org.opentrellis.core.live;

import java.util.ArrayList;
import java.util.List;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Product;
import org.opentrellis.core.machine.World;

/**
 * What was open from one change to the next. Edition 0 has nothing open. Immutable, and safe to
 * share between threads: everybody who is taken up into an edition is in the same world.
 */
public final class Editions {
  private final List<Edition> changes;
  private final List<World> worlds;

  private Editions(List<Edition> changes, List<World> worlds) {
    this.changes = changes;
    this.worlds = worlds;
  }

  /**
   * @param products what the shop sells
   */
  public static Editions none(List<Product> products) {
    World nothing = World.compile(List.of(), Catalogue.EMPTY, products);
    return new Editions(List.of(), List.of(nothing));
  }

  /**
   * @throws IllegalArgumentException if a version does not follow the one before it
   */
  public Editions and(Edition change) {
    World before = worlds.getLast();
    World after =
        switch (change) {
          case Edition.Opened opened ->
              before.publish(
                  opened.plan(),
                  opened.version(),
                  opened.catalogue().under(before.catalogue().pressure()));
          case Edition.Closed closed -> before.close(closed.journey());
          case Edition.Stopped stopped -> before.close(stopped.journey());
          case Edition.Pressed pressed -> before.under(pressed.pressure());
        };
    return new Editions(with(changes, change), with(worlds, after));
  }

  private static <T> List<T> with(List<T> some, T another) {
    List<T> more = new ArrayList<>(some);
    more.add(another);
    return List.copyOf(more);
  }

  public int newest() {
    return changes.size();
  }

  public World world(int edition) {
    return worlds.get(edition);
  }

  /** The change that made an edition of the one before it. */
  Edition change(int edition) {
    return changes.get(edition - 1);
  }
}
