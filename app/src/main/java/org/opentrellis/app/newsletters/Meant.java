package org.opentrellis.app.newsletters;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.opentrellis.app.http.Refusal;
import org.opentrellis.core.newsletter.NewsletterFinding;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Severity;
import org.springframework.http.HttpStatus;

/** Whoever sends something to many knows to how many, and that nothing stands in the way. */
public final class Meant {
  /** So many times as many as were said may have come since somebody looked. */
  private static final double GROWN = 1.1;

  private Meant() {}

  /**
   * @param found in what is to go
   * @param people who get it now
   * @param said how many were said to get it
   * @param evenSoMany whether it goes to more people than usual
   * @throws ProblemsFound with what stands in the way
   * @throws Refusal if more people get it than was said, or than usual without a word about it
   */
  public static void require(
      List<NewsletterFinding> found, long people, long said, boolean evenSoMany) {
    requireNoErrors(found);
    if (people > GROWN * said) {
      throw refused(
          "more-people",
          String.format(
              Locale.ROOT, "%,d people get it by now, not %,d: look at it again.", people, said));
    }
    found.stream()
        .filter(one -> one.code().equals("many") && !evenSoMany)
        .findFirst()
        .ifPresent(
            many -> {
              throw refused("many", many.sentence() + " Say that you mean it.");
            });
  }

  /**
   * @throws ProblemsFound with what stands in the way
   */
  static void requireNoErrors(List<NewsletterFinding> found) {
    List<Problem> errors = new ArrayList<>();
    found.stream()
        .filter(one -> one.severity() == Severity.ERROR)
        .forEach(one -> errors.add(new Problem(one.code(), one.place(), one.sentence())));
    if (!errors.isEmpty()) {
      throw new ProblemsFound(errors);
    }
  }

  private static Refusal refused(String code, String sentence) {
    return new Refusal(HttpStatus.CONFLICT, code, sentence, null);
  }
}
