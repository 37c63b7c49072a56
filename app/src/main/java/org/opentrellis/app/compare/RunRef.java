package org.opentrellis.app.compare;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;

/**
 * One journey of a run, as an address names it: {@code 12} is the first of run 12, {@code 12.1} its
 * second.
 */
record RunRef(long run, int number) {
  private static final Pattern FORM = Pattern.compile("(\\d{1,15})(?:\\.([0-5]))?");

  /**
   * @throws ProblemsFound if it is none
   */
  static RunRef of(String text) {
    Matcher form = FORM.matcher(text);
    if (!form.matches()) {
      throw new ProblemsFound(
          List.of(
              new Problem(
                  "bad-value",
                  "/runs",
                  "\u201c%s\u201d is no run: a number is needed, such as 12, or 12.1 for the second of its journeys."
                      .formatted(text))));
    }
    return new RunRef(
        Long.parseLong(form.group(1)), form.group(2) == null ? 0 : Integer.parseInt(form.group(2)));
  }

  @Override
  public String toString() {
    return number == 0 ? Long.toString(run) : run + "." + number;
  }
}
