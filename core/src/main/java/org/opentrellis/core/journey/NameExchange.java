package org.opentrellis.core.journey;

import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Puts a name in the place of another wherever it stands, by the types of the records that hold
 * them. What does not hold the name stays the object that it was.
 */
public final class NameExchange {
  private final Name before;
  private final Name after;

  /** Two names of one kind of thing. */
  public NameExchange(Name before, Name after) {
    this.before = before;
    this.after = after;
  }

  /**
   * @param part a record, such as a journey or a behaviour, or a collection, map or optional of
   *     such
   * @throws org.opentrellis.core.problem.Refused if the part cannot be with the other name
   */
  @SuppressWarnings("unchecked")
  public <T> T in(T part) {
    return (T) exchanged(part);
  }

  private Object exchanged(Object part) {
    return switch (part) {
      case Name name -> name.equals(before) ? after : name;
      case List<?> many -> same(many, many.stream().map(this::exchanged).toList());
      case Set<?> many ->
          same(
              many,
              many.stream()
                  .map(this::exchanged)
                  .collect(Collectors.toCollection(LinkedHashSet::new)));
      case Map<?, ?> map -> same(map, entries(map));
      case Optional<?> perhaps -> same(perhaps, perhaps.map(this::exchanged));
      case Record record -> record(record);
      // Texts, numbers, dates and the like hold none.
      default -> part;
    };
  }

  private static Object same(Object before, Object after) {
    return before.equals(after) ? before : after;
  }

  private Map<Object, Object> entries(Map<?, ?> map) {
    Map<Object, Object> all = new LinkedHashMap<>();
    map.forEach((key, value) -> all.put(exchanged(key), exchanged(value)));
    return all;
  }

  private Object record(Record record) {
    RecordComponent[] components = record.getClass().getRecordComponents();
    Object[] values = new Object[components.length];
    boolean different = false;
    try {
      for (int i = 0; i < components.length; i++) {
        Object value = components[i].getAccessor().invoke(record);
        values[i] = value == null ? null : exchanged(value);
        different |= values[i] != value;
      }
      return different ? constructor(record, components).newInstance(values) : record;
    } catch (InvocationTargetException refused) {
      throw refused.getCause() instanceof RuntimeException why
          ? why
          : new IllegalStateException(refused);
    } catch (ReflectiveOperationException impossible) {
      throw new IllegalStateException(impossible);
    }
  }

  private static Constructor<?> constructor(Record record, RecordComponent[] components)
      throws NoSuchMethodException {
    Class<?>[] types =
        Arrays.stream(components).map(RecordComponent::getType).toArray(Class<?>[]::new);
    return record.getClass().getDeclaredConstructor(types);
  }
}
