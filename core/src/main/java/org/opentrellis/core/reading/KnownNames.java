package org.opentrellis.core.reading;

import java.lang.reflect.RecordComponent;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;
import org.opentrellis.core.journey.Name;

/** The names that an account uses, by kind, wherever they stand in what it has. */
public final class KnownNames {
  private final Map<Class<?>, SortedSet<String>> names = new HashMap<>();

  private KnownNames() {}

  /**
   * @param parts records, such as journeys, behaviours and a catalogue, and collections of them
   */
  public static KnownNames in(List<?> parts) {
    KnownNames known = new KnownNames();
    parts.forEach(known::look);
    return known;
  }

  /** The names of one kind, in order of the alphabet. */
  Collection<String> of(Class<? extends Name> kind) {
    return names.getOrDefault(kind, new TreeSet<>());
  }

  private void look(Object part) {
    if (part instanceof Name name) {
      names.computeIfAbsent(part.getClass(), kind -> new TreeSet<>()).add(name.value());
    } else if (part instanceof Collection<?> many) {
      many.forEach(this::look);
    } else if (part instanceof Optional<?> perhaps) {
      perhaps.ifPresent(this::look);
    } else if (part instanceof Map<?, ?> map) {
      map.keySet().forEach(this::look);
      map.values().forEach(this::look);
    } else if (part instanceof Record record) {
      for (RecordComponent component : record.getClass().getRecordComponents()) {
        look(valueOf(record, component));
      }
    }
  }

  private static Object valueOf(Record record, RecordComponent component) {
    try {
      return component.getAccessor().invoke(record);
    } catch (ReflectiveOperationException impossible) {
      throw new IllegalStateException(impossible);
    }
  }
}
