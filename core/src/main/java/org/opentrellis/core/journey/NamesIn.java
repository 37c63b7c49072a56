package org.opentrellis.core.journey;

import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Finds names wherever they stand, by the types of the records that hold them. */
public final class NamesIn {
  /** By type of record, where names may stand in it: not in texts and numbers. */
  private static final ClassValue<List<Method>> PLACES =
      new ClassValue<>() {
        @Override
        protected List<Method> computeValue(Class<?> type) {
          return Stream.of(type.getRecordComponents())
              .filter(component -> mayHold(component.getType()))
              .map(RecordComponent::getAccessor)
              .toList();
        }
      };

  private NamesIn() {}

  private static boolean mayHold(Class<?> type) {
    return !type.isPrimitive() && !type.isEnum() && !type.getName().startsWith("java.lang.");
  }

  /**
   * All names in a part, in order; some may stand more than once.
   *
   * @param part a record, such as a journey or a behaviour, or a collection, map or optional of
   *     such
   */
  public static Stream<Name> of(Object part) {
    Stream.Builder<Name> names = Stream.builder();
    collect(part, names);
    return names.build();
  }

  private static void collect(Object part, Stream.Builder<Name> names) {
    switch (part) {
      case Name name -> names.add(name);
      case Collection<?> many -> many.forEach(one -> collect(one, names));
      case Optional<?> perhaps -> perhaps.ifPresent(one -> collect(one, names));
      case Map<?, ?> map -> {
        collect(map.keySet(), names);
        collect(map.values(), names);
      }
      case Record record ->
          PLACES.get(record.getClass()).forEach(place -> collect(valueOf(record, place), names));
      default -> {
        // Texts, numbers, dates and the like hold none.
      }
    }
  }

  private static Object valueOf(Record record, Method accessor) {
    try {
      return accessor.invoke(record);
    } catch (ReflectiveOperationException impossible) {
      throw new IllegalStateException(impossible);
    }
  }
}
