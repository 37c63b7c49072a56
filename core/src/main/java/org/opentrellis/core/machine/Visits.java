package org.opentrellis.core.machine;

import java.util.Arrays;
import java.util.List;

/**
 * A person's visits in order of entry, those that are over too; used again from person to person.
 */
final class Visits {
  private Visit[] all = new Visit[4];
  private int size;

  /** By program, those that were made, and how many of them are in use. */
  private final Visit[][] made;

  private final int[] used;

  /**
   * @param journeys how many there may be
   */
  Visits(int journeys) {
    made = new Visit[journeys][0];
    used = new int[made.length];
  }

  void clear() {
    size = 0;
    for (int program = 0; program < used.length; program++) {
      used[program] = 0;
    }
  }

  int size() {
    return size;
  }

  Visit get(int n) {
    return all[n];
  }

  List<Visit> asList() {
    return List.of(Arrays.copyOf(all, size));
  }

  /** One more, which has yet to begin. */
  Visit add(Program program, Person person) {
    int number = program.number();
    int n = used[number]++;
    Visit[] ours = made[number];
    Visit visit = n < ours.length ? ours[n] : make(program, person);
    if (visit.program != program) {
      // Of another version of the journey.
      visit = new Visit(program, person);
      made[number][n] = visit;
    }
    if (size == all.length) {
      all = Arrays.copyOf(all, 2 * size);
    }
    all[size++] = visit;
    return visit;
  }

  private Visit make(Program program, Person person) {
    Visit[] ours = made[program.number()];
    Visit visit = new Visit(program, person);
    made[program.number()] = Arrays.copyOf(ours, ours.length + 1);
    made[program.number()][ours.length] = visit;
    return visit;
  }

  /** The last one did not begin after all. */
  void removeLast() {
    Visit visit = all[--size];
    used[visit.program.number()]--;
  }
}
