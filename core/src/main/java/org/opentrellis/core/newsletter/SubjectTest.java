package org.opentrellis.core.newsletter;

import java.util.List;
import java.util.stream.IntStream;
import org.opentrellis.core.message.Limits;
import org.opentrellis.core.problem.Refused;

/**
 * Subjects that are tried on some people; the better one goes to the rest.
 *
 * @param others one to three besides the message's own, which is the first; empty until they are
 *     written
 * @param sharePercent of how many all of them together are tried on, 5 to 50
 * @param by what a subject is judged by
 * @param hours after how many of them the better one goes to the rest, 1 to 72
 */
public record SubjectTest(List<String> others, int sharePercent, By by, int hours) {
  private static final int MOST = 3;

  /** What makes one better than another. */
  public enum By {
    OPENED,
    CLICKED
  }

  public SubjectTest {
    others = others.stream().map(one -> Limits.line("a subject", one, 200)).toList();
    if (others.isEmpty() || others.size() > MOST) {
      throw new Refused(
          "besides the message\u2019s own, one to %d subjects are tried, not %d"
              .formatted(MOST, others.size()));
    }
    Newsletter.within("the share that subjects are tried on", sharePercent, 5, 50);
    Newsletter.within("the hours after which the better subject goes out", hours, 1, 72);
  }

  /** How many subjects there are, the message's own among them. */
  public int count() {
    return others.size() + 1;
  }

  /** The percent of the people who get each subject, and of the rest as the last. */
  public List<Double> shares() {
    return IntStream.rangeClosed(0, count())
        .mapToObj(n -> n < count() ? (double) sharePercent / count() : 100.0 - sharePercent)
        .toList();
  }
}
