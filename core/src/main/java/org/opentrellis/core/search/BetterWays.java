package org.opentrellis.core.search;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a search came to.
 *
 * @param size how much there was to try
 * @param tried all that was tried, the best first
 * @param impossible combinations that would have asked about an email which was not sent before
 * @param stopped whether it was cut short
 * @param people who went through those that stayed in the race
 * @param otherPeople other people, through whom what is shown was tried again
 * @param today the journey as it is, on those other people
 * @param better the best ones found, best first; none if none was better on the search's people
 * @param doubts in how many other worlds winners were tried
 * @param sentence what came of it
 */
public record BetterWays(
    SearchSize size,
    List<Tried> tried,
    long impossible,
    boolean stopped,
    int people,
    int otherPeople,
    Figures today,
    List<Better> better,
    int doubts,
    String sentence) {

  /**
   * Something that was tried.
   *
   * @param changes what it does otherwise than today; none for today's journey
   * @param fate what became of it, as a sentence
   * @param frontier whether nothing else that was tried with all people gives more for as few
   *     emails
   * @param row its place in {@code better}; null if it is not there
   */
  public record Tried(
      List<String> changes,
      Figures figures,
      String fate,
      boolean frontier,
      @Nullable Integer row) {}

  /**
   * Something that was better on the search's people, tried again on others.
   *
   * @param settings what it sets
   * @param changes the same in words, each a sentence without its full stop
   * @param found its difference to today on the search's people, which flatters the best of many
   * @param figures on the other people
   * @param difference to today on the other people, of what is wanted; above 0 is better
   * @param gain the same in words, with its interval
   * @param goalDifference the goal's difference to today on the other people
   * @param adjusted the p-value, adjusted for how many are shown (Holm)
   * @param verdict whether it is better, and not by chance
   * @param elsewhere in other worlds; none unless it is better here
   * @param won in how many of those it is still better than today
   * @param sentence all of it in words
   */
  public record Better(
      List<Setting> settings,
      List<String> changes,
      Gain found,
      Figures figures,
      Gain difference,
      String gain,
      Gain goalDifference,
      double adjusted,
      boolean verdict,
      List<Elsewhere> elsewhere,
      int won,
      String sentence) {}

  /**
   * How something does among other people than those assumed.
   *
   * @param words how they are
   * @param difference of what is wanted to today's journey among them
   */
  public record Elsewhere(String words, Gain difference) {}
}
