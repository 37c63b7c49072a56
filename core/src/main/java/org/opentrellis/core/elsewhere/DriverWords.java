package org.opentrellis.core.elsewhere;

import java.util.Optional;

/** What the process that speaks to a cluster says on its output, a line at a time. */
public final class DriverWords {
  private static final String THROUGH = "through ";
  private static final String TROUBLE = "trouble ";

  private DriverWords() {}

  public static String ofThrough(int people) {
    return THROUGH + people;
  }

  /**
   * @param sentence why the run could not be made
   */
  public static String ofTrouble(String sentence) {
    return TROUBLE + sentence.replaceAll("\\R", " ");
  }

  /** How many more people a line says are through; 0 if it says something else. */
  public static int through(String line) {
    return line.matches(THROUGH + "\\d{1,10}") ? Integer.parseInt(line, 8, line.length(), 10) : 0;
  }

  /** Why the run could not be made, if a line says so. */
  public static Optional<String> trouble(String line) {
    return line.startsWith(TROUBLE)
        ? Optional.of(line.substring(TROUBLE.length()))
        : Optional.empty();
  }
}
