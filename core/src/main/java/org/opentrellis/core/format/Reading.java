package org.opentrellis.core.format;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.problem.Problems;

/** Reads values one by one, noting what is wrong and where, and going on. */
final class Reading {
  private final Problems problems = new Problems();

  Problems problems() {
    return problems;
  }

  /** The made value, or empty with a problem at the place when it refuses. */
  <T> Optional<T> value(String place, Supplier<T> make) {
    try {
      return Optional.of(make.get());
    } catch (IllegalArgumentException refused) {
      problems.add("bad-value", place, sentence(refused.getMessage()));
      return Optional.empty();
    }
  }

  /** A value that must be there, made by a function that may refuse it. */
  <S, T> Optional<T> required(String place, @Nullable S given, Function<S, T> make) {
    if (given == null) {
      missing(place);
      return Optional.empty();
    }
    return value(place, () -> make.apply(given));
  }

  /** A list that must be there, its items read with their places; what is refused is left out. */
  <S, T> List<T> list(
      String place, @Nullable List<S> given, BiFunction<S, String, Optional<T>> read) {
    List<T> all = new ArrayList<>();
    if (given == null) {
      missing(place);
      return all;
    }
    for (int i = 0; i < given.size(); i++) {
      String itemPlace = place + "/" + i;
      S item = given.get(i);
      if (item == null) {
        missing(itemPlace);
      } else {
        read.apply(item, itemPlace).ifPresent(all::add);
      }
    }
    return all;
  }

  void missing(String place) {
    String field = place.substring(place.lastIndexOf('/') + 1);
    problems.add("missing-value", place, "\u201c" + field + "\u201d is missing.");
  }

  static String sentence(@Nullable String message) {
    String text = message == null ? "this value is refused" : message;
    return Character.toUpperCase(text.charAt(0)) + text.substring(1) + ".";
  }
}
