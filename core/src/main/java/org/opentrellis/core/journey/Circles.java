package org.opentrellis.core.journey;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/** Finds journeys that lead people round in a circle without a wait. */
public final class Circles {
  private Circles() {}

  /** A circle, if there is one: the journeys on it in order, the first again at the end. */
  public static Optional<List<JourneyName>> find(Collection<Leads> journeys) {
    return journeys.stream().flatMap(one -> through(one, journeys).stream()).findFirst();
  }

  /**
   * The shortest circle through one journey, if there is one.
   *
   * @param all the others, it may be among them
   * @return the journeys on it in order, this one at the beginning and again at the end
   */
  public static Optional<List<JourneyName>> through(Leads start, Collection<Leads> all) {
    Map<Leads, Leads> from = new HashMap<>();
    Deque<Leads> open = new ArrayDeque<>(List.of(start));
    while (!open.isEmpty()) {
      Leads at = open.remove();
      if (at.to(start)) {
        return Optional.of(circle(at, start, from));
      }
      for (Leads next : at.anywhere() ? all : List.<Leads>of()) {
        if (!next.journey().equals(start.journey()) && at.to(next) && !from.containsKey(next)) {
          from.put(next, at);
          open.add(next);
        }
      }
    }
    return Optional.empty();
  }

  private static List<JourneyName> circle(Leads last, Leads start, Map<Leads, Leads> from) {
    List<JourneyName> names = new ArrayList<>(List.of(start.journey()));
    for (Leads at = last; !at.equals(start); at = Objects.requireNonNull(from.get(at))) {
      names.add(1, at.journey());
    }
    names.add(start.journey());
    return names;
  }
}
