package org.opentrellis.core.machine;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;

/** Numbers for names, in the order in which they are first met, for good. Safe between threads. */
final class Numbering<N> {
  private final Map<N, Integer> numbers = new HashMap<>();
  private final List<N> names = new ArrayList<>();

  /** The number of a name, which it gets now if it has none. */
  synchronized int of(N name) {
    Integer known = numbers.putIfAbsent(name, names.size());
    if (known != null) {
      return known;
    }
    names.add(name);
    return names.size() - 1;
  }

  synchronized OptionalInt find(N name) {
    Integer number = numbers.get(name);
    return number == null ? OptionalInt.empty() : OptionalInt.of(number);
  }

  synchronized N name(int number) {
    return names.get(number);
  }

  synchronized int size() {
    return names.size();
  }
}
