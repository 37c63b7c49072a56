package org.opentrellis.core.problem;

import java.util.List;
import java.util.function.Supplier;
import java.util.stream.Collectors;

/** Thrown once for all the problems of one input, so that a user sees them together. */
public final class ProblemsFound extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final transient List<Problem> problems;

  /**
   * @param problems at least one
   */
  public ProblemsFound(List<Problem> problems) {
    super(problems.stream().map(Problem::sentence).collect(Collectors.joining(" ")));
    if (problems.isEmpty()) {
      throw new IllegalArgumentException("no problems to report");
    }
    this.problems = List.copyOf(problems);
  }

  /**
   * What a type refused, as the one problem of an input.
   *
   * @param place where the refused value stands, as a JSON Pointer
   */
  public static ProblemsFound refused(String place, Refused why) {
    return new ProblemsFound(List.of(new Problem(why.code(), place, why.sentence())));
  }

  /**
   * One bad value.
   *
   * @param place where it stands, as a JSON Pointer
   * @param sentence what is wrong and what to do
   */
  public static ProblemsFound badValue(String place, String sentence) {
    return new ProblemsFound(List.of(new Problem(Refused.BAD_VALUE, place, sentence)));
  }

  public List<Problem> problems() {
    return problems;
  }

  /**
   * Reads a part of something larger, so that its problems are placed in the whole.
   *
   * @param place where the part is, as a JSON Pointer
   */
  public static <T> T within(String place, Supplier<T> read) {
    try {
      return read.get();
    } catch (ProblemsFound found) {
      throw new ProblemsFound(
          found.problems().stream()
              .map(p -> new Problem(p.code(), place + p.place(), p.sentence()))
              .toList());
    }
  }
}
