package org.opentrellis.core.search;

import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.vary.VariedRun;

/**
 * Something that may vary, with what would be tried of it.
 *
 * @param id names it, the same as long as the step is there
 * @param step the step that it is about; null for a rule of the whole journey
 * @param subject what varies, in words
 * @param levels all that is tried, in a word or two each
 * @param today the place of what the journey says now
 * @param sentence subject and levels as one sentence
 * @param usual whether it is among what is varied unless somebody chooses
 */
public record Proposal(
    String id,
    @Nullable String step,
    Leeway leeway,
    String subject,
    List<String> levels,
    int today,
    String sentence,
    boolean usual) {

  /** Beyond so many, a sentence names the ends and says how many there are. */
  private static final int FEW = 6;

  /**
   * A leeway as somebody has set it.
   *
   * @throws Refused if the journey has nothing of the kind
   */
  public static Proposal of(Leeway leeway, VariedRun plan) {
    return of(leeway, plan, false);
  }

  static Proposal of(Leeway leeway, VariedRun plan, boolean usual) {
    Factor factor = new Factors(plan).of(leeway);
    List<String> levels = factor.levels().stream().map(Level::brief).toList();
    return new Proposal(
        factor.id(),
        leeway.about().map(Object::toString).orElse(null),
        leeway,
        factor.subject(),
        levels,
        factor.today(),
        "%s: %s.".formatted(factor.subject(), listed(levels)),
        usual);
  }

  private static String listed(List<String> levels) {
    if (levels.size() == 1) {
      return levels.get(0) + " only, so there is nothing to try";
    }
    if (levels.size() > FEW) {
      return "%d values from %s to %s"
          .formatted(levels.size(), levels.get(0), levels.get(levels.size() - 1));
    }
    return levels.subList(0, levels.size() - 1).stream().collect(Collectors.joining(", "))
        + " or "
        + levels.get(levels.size() - 1);
  }
}
