package org.opentrellis.core.reading;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SortedSet;
import java.util.TreeSet;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.NamesIn;

/** The names that an account uses, by kind, wherever they stand in what it has. */
public final class KnownNames {
  private final Map<Class<?>, SortedSet<String>> names = new HashMap<>();

  private KnownNames() {}

  /**
   * @param parts records, such as journeys, behaviours and a catalogue, and collections of them
   */
  public static KnownNames in(List<?> parts) {
    KnownNames known = new KnownNames();
    NamesIn.of(parts)
        .forEach(
            name ->
                known
                    .names
                    .computeIfAbsent(name.getClass(), kind -> new TreeSet<>())
                    .add(name.value()));
    return known;
  }

  /** The names of one kind, in order of the alphabet. */
  Collection<String> of(Class<? extends Name> kind) {
    return names.getOrDefault(kind, new TreeSet<>());
  }
}
