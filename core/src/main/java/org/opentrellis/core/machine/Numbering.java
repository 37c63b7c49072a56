package org.opentrellis.core.machine;

import java.util.HashMap;
import java.util.Map;
import java.util.OptionalInt;

/** Numbers for names, in the order in which they are first met. */
final class Numbering<N> {
  private final Map<N, Integer> numbers = new HashMap<>();

  int of(N name) {
    Integer known = numbers.putIfAbsent(name, numbers.size());
    return known == null ? numbers.size() - 1 : known;
  }

  OptionalInt find(N name) {
    Integer number = numbers.get(name);
    return number == null ? OptionalInt.empty() : OptionalInt.of(number);
  }

  int size() {
    return numbers.size();
  }
}
