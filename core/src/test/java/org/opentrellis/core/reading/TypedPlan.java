package org.opentrellis.core.reading;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;

/**
 * A plan as it is typed, and the run sheet that it becomes.
 *
 * @param lines what is typed, line by line
 * @param sheet purpose, opening, rules, rows and goal
 */
record TypedPlan(String name, List<String> lines, String sheet) {
  private static final Path FILE =
      Path.of("src/test/resources/org/opentrellis/core/reading/plans.txt");

  /** All of the file: "# name", what is typed, "becomes", what it becomes. */
  static List<TypedPlan> all() {
    try {
      return Arrays.stream(Files.readString(FILE).split("(?m)^# "))
          .skip(1)
          .map(TypedPlan::of)
          .toList();
    } catch (IOException failure) {
      throw new UncheckedIOException(failure);
    }
  }

  private static TypedPlan of(String text) {
    String[] parts = text.strip().split("(?m)^becomes$", 2);
    List<String> lines = parts[0].lines().toList();
    return new TypedPlan(
        lines.get(0), lines.subList(1, lines.size()), parts.length < 2 ? "" : parts[1].strip());
  }

  @Override
  public String toString() {
    return name;
  }
}
