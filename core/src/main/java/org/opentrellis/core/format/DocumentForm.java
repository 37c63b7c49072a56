package org.opentrellis.core.format;

import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.problem.Refused;

/**
 * How a type stands in a document. The format follows from the types, so that a new kind of step
 * needs no code here: a record is an object with its components as fields; a sealed interface is
 * one of its records, told by the field {@code kind}; a name is a text; what is optional, empty or
 * false may be left out.
 */
sealed interface DocumentForm {

  record Single(ScalarForm leaf) implements DocumentForm {}

  record Choice(Class<?> type, List<String> constants) implements DocumentForm {}

  record ListOf(Type item, boolean asSet) implements DocumentForm {}

  record MapOf(Type key, Type value) implements DocumentForm {}

  record Maybe(Type value) implements DocumentForm {}

  record OneOf(Class<?> type, Map<String, Class<?>> kinds) implements DocumentForm {}

  record Fields(Class<?> type, List<RecordComponent> fields) implements DocumentForm {}

  static DocumentForm of(Type type) {
    if (type instanceof ParameterizedType generic) {
      Type[] arguments = generic.getActualTypeArguments();
      Class<?> raw = (Class<?>) generic.getRawType();
      if (raw == Optional.class) {
        return new Maybe(arguments[0]);
      }
      if (raw == Map.class) {
        return new MapOf(arguments[0], arguments[1]);
      }
      return new ListOf(arguments[0], raw == Set.class);
    }
    return OF_CLASS.get((Class<?>) type);
  }

  /** Looking into a class takes long enough to remember what was seen. */
  ClassValue<DocumentForm> OF_CLASS =
      new ClassValue<>() {
        @Override
        protected DocumentForm computeValue(Class<?> type) {
          return ofClass(type);
        }
      };

  private static DocumentForm ofClass(Class<?> plain) {
    ScalarForm leaf = ScalarForm.of(plain);
    if (leaf != null) {
      return new Single(leaf);
    }
    if (plain.isEnum()) {
      return new Choice(
          plain, Arrays.stream(plain.getEnumConstants()).map(c -> ((Enum<?>) c).name()).toList());
    }
    if (plain == Name.class) {
      return new Single(ScalarForm.wrapping(DocumentForm::anyName, DocumentForm::saidWithKind));
    }
    if (Name.class.isAssignableFrom(plain)) {
      return new Single(
          ScalarForm.wrapping(text -> make(plain, List.of(text)), value -> ((Name) value).value()));
    }
    if (plain.isSealed()) {
      Map<String, Class<?>> kinds = new LinkedHashMap<>();
      addKinds(plain, kinds);
      return new OneOf(plain, kinds);
    }
    return new Fields(plain, List.of(plain.getRecordComponents()));
  }

  /** A name of any kind has its kind in front: "tagName:market". */
  private static String saidWithKind(Object name) {
    return kindOf(name.getClass()) + ":" + ((Name) name).value();
  }

  private static Object anyName(String text) {
    int colon = text.indexOf(':');
    return Arrays.stream(Name.class.getPermittedSubclasses())
        .filter(kind -> colon > 0 && kindOf(kind).equals(text.substring(0, colon)))
        .findFirst()
        .map(kind -> make(kind, List.of(text.substring(colon + 1))))
        .orElseThrow(
            () -> new Refused("a name here has its kind in front, such as tagName:market"));
  }

  private static void addKinds(Class<?> sealed, Map<String, Class<?>> kinds) {
    for (Class<?> one : sealed.getPermittedSubclasses()) {
      if (one.isRecord()) {
        kinds.put(kindOf(one), one);
      } else {
        addKinds(one, kinds);
      }
    }
  }

  /** What the field {@code kind} says for a record. */
  static String kindOf(Class<?> type) {
    String name = type.getSimpleName();
    return Character.toLowerCase(name.charAt(0)) + name.substring(1);
  }

  /** Whether a field of this type may be left out. */
  static boolean mayBeLeftOut(Type type) {
    return switch (of(type)) {
      case Maybe maybe -> true;
      case ListOf list -> true;
      case MapOf map -> true;
      case Single single -> type == boolean.class;
      case Choice choice -> false;
      case OneOf one -> false;
      case Fields fields -> false;
    };
  }

  /**
   * Makes a record of its components.
   *
   * @throws Refused if the record refuses them
   */
  static Object make(Class<?> type, List<?> values) {
    try {
      return CONSTRUCTOR.get(type).newInstance(new ArrayList<>(values).toArray());
    } catch (InvocationTargetException refused) {
      if (refused.getCause() instanceof Refused why) {
        throw why;
      }
      throw new IllegalStateException("cannot make a " + type, refused);
    } catch (ReflectiveOperationException impossible) {
      throw new IllegalStateException("cannot make a " + type, impossible);
    }
  }

  /** The constructor that takes all components of a record. */
  ClassValue<Constructor<?>> CONSTRUCTOR =
      new ClassValue<>() {
        @Override
        protected Constructor<?> computeValue(Class<?> type) {
          Class<?>[] types =
              Arrays.stream(type.getRecordComponents())
                  .map(RecordComponent::getType)
                  .toArray(Class<?>[]::new);
          try {
            return type.getDeclaredConstructor(types);
          } catch (NoSuchMethodException impossible) {
            throw new IllegalStateException("a record has its constructor: " + type, impossible);
          }
        }
      };

  /** The components of a record, remembered. */
  static List<RecordComponent> components(Class<?> type) {
    return ((Fields) OF_CLASS.get(type)).fields();
  }

  /** The value of a record's component. */
  static Object component(RecordComponent component, Object of) {
    try {
      return component.getAccessor().invoke(of);
    } catch (ReflectiveOperationException impossible) {
      throw new IllegalStateException("cannot read " + component, impossible);
    }
  }
}
