package org.opentrellis.app.live;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.NameExchange;

/**
 * What journeys are called where they run: by their numbers. So a journey can be renamed while
 * people are inside, and nothing that is kept of them has to be written anew.
 */
final class LiveNames {
  private LiveNames() {}

  static JourneyName of(long journey) {
    return new JourneyName("#" + journey);
  }

  /**
   * @throws IllegalArgumentException if it is no journey's name where it runs
   */
  static long number(JourneyName name) {
    if (!name.value().startsWith("#")) {
      throw new IllegalArgumentException("not the name of a journey that runs: " + name);
    }
    return Long.parseLong(name.value().substring(1));
  }

  /** A journey with the names that readers know. */
  static Journey shown(Journey running, List<Journeys.Named> all) {
    Journey shown = running;
    for (Journeys.Named one : all) {
      shown = new NameExchange(of(one.id()), new JourneyName(one.name())).in(shown);
    }
    return shown;
  }

  /**
   * A journey as it runs: it and those that it hands over to by their numbers. One that is nobody's
   * name stays, and leads nowhere.
   */
  static Journey running(long id, Journey journey, List<Journeys.Named> all) {
    Map<JourneyName, JourneyName> numbers = new LinkedHashMap<>();
    all.forEach(one -> numbers.put(new JourneyName(one.name()), of(one.id())));
    Journey running = journey;
    for (Map.Entry<JourneyName, JourneyName> one : numbers.entrySet()) {
      running = new NameExchange(one.getKey(), one.getValue()).in(running);
    }
    return running.edit().name(of(id).value()).done();
  }
}
