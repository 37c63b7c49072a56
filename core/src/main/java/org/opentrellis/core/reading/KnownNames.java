package org.opentrellis.core.reading;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.NamesIn;

/** The names that an account uses, by kind, wherever they stand in what it has. */
public final class KnownNames {
  /** Kinds are told by the simple names of their types. */
  private final SortedMap<String, SortedSet<String>> names = new TreeMap<>();

  private KnownNames() {}

  /**
   * @param parts records, such as journeys, behaviours and a catalogue, and collections of them
   */
  public static KnownNames in(List<?> parts) {
    KnownNames known = new KnownNames();
    NamesIn.of(parts).forEach(name -> known.add(kind(name.getClass()), List.of(name.value())));
    return known;
  }

  /** All of several. */
  public static KnownNames of(Collection<KnownNames> several) {
    KnownNames all = new KnownNames();
    several.forEach(one -> one.names.forEach(all::add));
    return all;
  }

  /** Those that {@link #byKind} gave. */
  public static KnownNames of(Map<String, ? extends Collection<String>> byKind) {
    KnownNames known = new KnownNames();
    byKind.forEach(known::add);
    return known;
  }

  private void add(String kind, Collection<String> more) {
    names.computeIfAbsent(kind, none -> new TreeSet<>()).addAll(more);
  }

  /** The names by the simple names of their types, such as "TagName"; both in order. */
  public Map<String, SortedSet<String>> byKind() {
    return names;
  }

  public boolean has(Name name) {
    return of(name.getClass()).contains(name.value());
  }

  /** The names of one kind, in order of the alphabet. */
  Collection<String> of(Class<? extends Name> kind) {
    return names.getOrDefault(kind(kind), new TreeSet<>());
  }

  private static String kind(Class<? extends Name> type) {
    return type.getSimpleName();
  }
}
