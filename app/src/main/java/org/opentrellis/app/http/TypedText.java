package org.opentrellis.app.http;

import java.util.List;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;

/** What is typed, with the place of the caret in it. */
public final class TypedText {
  private TypedText() {}

  /**
   * @param most how many characters it has at most
   * @throws ProblemsFound if it has more, or the caret is not inside it
   */
  public static void require(String text, int caret, int most) {
    if (text.length() > most) {
      throw refused("/text", "A text has at most " + most + " characters.");
    }
    if (caret < 0 || caret > text.length()) {
      throw refused("/caret", "The caret must be inside the sentence.");
    }
  }

  private static ProblemsFound refused(String place, String sentence) {
    return new ProblemsFound(List.of(new Problem("wrong-value", place, sentence)));
  }
}
