package org.opentrellis.core.journey;

import java.lang.reflect.RecordComponent;
import java.util.Collection;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Finds names wherever they stand, by the types of the records that hold them. */
public final class NamesIn {
  private NamesIn() {}

  /**
   * All names in a part, in order; some may stand more than once.
   *
   * @param part a record, such as a journey or a behaviour, or a collection, map or optional of
   *     such
   */
  public static Stream<Name> of(Object part) {
    return switch (part) {
      case Name name -> Stream.of(name);
      case Collection<?> many -> many.stream().flatMap(NamesIn::of);
      case Optional<?> perhaps -> perhaps.stream().flatMap(NamesIn::of);
      case Map<?, ?> map -> Stream.concat(of(map.keySet()), of(map.values()));
      case Record record ->
          Stream.of(record.getClass().getRecordComponents())
              .flatMap(component -> of(valueOf(record, component)));
      // Texts, numbers, dates and the like hold none.
      default -> Stream.empty();
    };
  }

  private static Object valueOf(Record record, RecordComponent component) {
    try {
      return component.getAccessor().invoke(record);
    } catch (ReflectiveOperationException impossible) {
      throw new IllegalStateException(impossible);
    }
  }
}
