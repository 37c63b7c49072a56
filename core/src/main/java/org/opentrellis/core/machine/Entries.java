package org.opentrellis.core.machine;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/** Moments at which somebody comes to a journey, in order; at one moment in order of adding. */
final class Entries {
  private long[] times = new long[4];
  private int[] programs = new int[4];
  private int[] triggers = new int[4];
  private int[] origins = new int[4];
  private long[] carts = new long[4];
  private int first;
  private int end;
  private boolean closed;

  void clear() {
    first = 0;
    end = 0;
  }

  /** Whether nobody comes for the time being. */
  void close(boolean shut) {
    closed = shut;
  }

  /**
   * @param trigger its position in the journey, or -1
   * @param origin the journey that handed the person over, or -1
   * @param cart when the cart last changed that they come by, or {@link Person#NOT_YET}
   */
  void add(int program, int trigger, int origin, long at, long cart) {
    if (closed) {
      return;
    }
    if (end == times.length) {
      times = Arrays.copyOf(times, 2 * end);
      programs = Arrays.copyOf(programs, 2 * end);
      triggers = Arrays.copyOf(triggers, 2 * end);
      origins = Arrays.copyOf(origins, 2 * end);
      carts = Arrays.copyOf(carts, 2 * end);
    }
    int place = end++;
    while (place > first && times[place - 1] > at) {
      times[place] = times[place - 1];
      programs[place] = programs[place - 1];
      triggers[place] = triggers[place - 1];
      origins[place] = origins[place - 1];
      carts[place] = carts[place - 1];
      place--;
    }
    times[place] = at;
    programs[place] = program;
    triggers[place] = trigger;
    origins[place] = origin;
    carts[place] = cart;
  }

  boolean isEmpty() {
    return first == end;
  }

  int size() {
    return end - first;
  }

  long nextAt() {
    return isEmpty() ? Person.NEVER : times[first];
  }

  int nextProgram() {
    return programs[first];
  }

  int nextTrigger() {
    return triggers[first];
  }

  /** The journey that handed the person over, or -1. */
  int nextOrigin() {
    return origins[first];
  }

  /** When the cart last changed that they come by, or {@link Person#NOT_YET}. */
  long nextCart() {
    return carts[first];
  }

  List<Person.Coming> all() {
    return IntStream.range(first, end)
        .mapToObj(i -> new Person.Coming(programs[i], triggers[i], times[i]))
        .toList();
  }

  /** The n-th from the next, from 0: its program, trigger, origin, time and cart. */
  long[] entry(int n) {
    int i = first + n;
    return new long[] {programs[i], triggers[i], origins[i], times[i], carts[i]};
  }

  void removeNext() {
    first++;
  }
}
