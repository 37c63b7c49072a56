package org.opentrellis.core.dryrun;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.opentrellis.core.journey.Leads;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.machine.Program;

/**
 * A journey that people come to from outside, and the triggers that can bring them. Immutable.
 *
 * @param program the journey's number
 * @param all its triggers
 * @param triggers the positions of those that can bring people
 * @param prefix addresses its draws; the first journey has none, so that its variants share them
 */
record Door(int program, List<Trigger> all, int[] triggers, String prefix) {

  /**
   * The doors of some journeys. A journey that another of them leads into, by handing over, tagging
   * or a list, has none, unless it is the first of a circle.
   */
  static List<Door> of(List<Program> programs) {
    return fromOutside(programs).stream().map(Door::of).toList();
  }

  private static Door of(Program program) {
    List<Trigger> all = program.journey().triggers();
    int number = program.number();
    return new Door(number, all, bringing(all), number == 0 ? "" : "journey " + number);
  }

  /** Being handed over counts only where nothing else brings people in. */
  private static int[] bringing(List<Trigger> all) {
    List<Integer> some = new ArrayList<>();
    for (int i = 0; i < all.size(); i++) {
      if (all.size() == 1 || !(all.get(i) instanceof Trigger.HandedOver)) {
        some.add(i);
      }
    }
    return some.stream().mapToInt(Integer::intValue).toArray();
  }

  /** Those that no other leads into, and the first of each circle. */
  private static List<Program> fromOutside(List<Program> programs) {
    List<Program> entered = new ArrayList<>();
    Set<Program> reached = new HashSet<>();
    for (Program program : programs) {
      if (programs.stream().noneMatch(other -> other != program && leads(other, program))) {
        entered.add(program);
        reach(program, programs, reached);
      }
    }
    for (Program program : programs) {
      if (!reached.contains(program)) {
        entered.add(program);
        reach(program, programs, reached);
      }
    }
    return entered;
  }

  private static void reach(Program program, List<Program> programs, Set<Program> reached) {
    if (reached.add(program)) {
      programs.stream()
          .filter(other -> leads(program, other))
          .forEach(other -> reach(other, programs, reached));
    }
  }

  private static boolean leads(Program from, Program to) {
    return Leads.leads(from.journey(), to.journey());
  }
}
