package org.opentrellis.core.replay;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.walk.Turn;

/** Turns told by names, so that those of different worlds can be compared. */
final class Lines {
  private final List<Line> all = new ArrayList<>();

  /**
   * @param visit whose it is: a journey's name, and how often they had entered it
   */
  record Line(String visit, long at, String step, Turn.Kind kind, int detail) {}

  static Lines of(World world, List<Turn> turns) {
    Lines lines = new Lines();
    lines.add(world, turns);
    return lines;
  }

  void add(World world, List<Turn> turns) {
    for (Turn turn : turns) {
      Program program =
          world.programs().stream()
              .filter(one -> one.number() == turn.journey())
              .findFirst()
              .orElseThrow();
      String step = turn.step() < 0 ? "" : program.steps().get(turn.step()).id().value();
      all.add(
          new Line(
              program.name().value() + " " + turn.visit(),
              turn.at(),
              step,
              turn.kind(),
              detail(program, turn)));
    }
  }

  /** Of two equal triggers either may be the one. */
  private static int detail(Program program, Turn turn) {
    if (turn.kind() != Turn.Kind.ENTERED_JOURNEY || turn.detail() < 0) {
      return turn.detail();
    }
    List<Trigger> triggers = program.journey().triggers();
    return triggers.indexOf(triggers.get(turn.detail()));
  }

  List<Line> inOrder() {
    return Collections.unmodifiableList(all);
  }

  /** In order for each visit; visits at one instant may be told in another order. */
  Map<String, List<Line>> byVisit() {
    return all.stream()
        .filter(line -> line.kind() != Turn.Kind.KEPT_OUT_BY_FILTER)
        .filter(line -> line.kind() != Turn.Kind.MAY_NOT_ENTER_AGAIN)
        .collect(Collectors.groupingBy(Line::visit));
  }
}
