package org.opentrellis.core.rule;

import java.time.LocalDate;
import java.util.List;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.reading.Completion;
import org.opentrellis.core.reading.KnownNames;
import org.opentrellis.core.reading.Reader;
import org.opentrellis.core.reading.Reading;
import org.opentrellis.core.sentence.RunSheet;

/**
 * How a typed rule was understood.
 *
 * @param result the rule, or why it is none
 * @param completions ways to go on at the caret
 */
public record RuleReading(Result result, List<Completion> completions) {
  /** What it is called while it has no name. */
  private static final String UNNAMED = "Rule";

  /** What became of it. */
  public sealed interface Result permits Understood, Unclear {}

  /**
   * @param news names that nothing has used so far, such as “new tag buyer”
   */
  public record Understood(StandingRule rule, List<String> news) implements Result {}

  /**
   * @param refused what is wrong or missing, and where
   */
  public record Unclear(Reading.Refused refused) implements Result {}

  /**
   * Reads "when someone buys anything from category Hives, tag buyer".
   *
   * @param journeys what the account's journeys are called
   * @param known the names in use
   * @param today that a date without a year comes after
   */
  public static RuleReading of(
      String text,
      int caret,
      Catalogue catalogue,
      List<String> journeys,
      KnownNames known,
      LocalDate today) {
    Journey unwritten = StandingRule.unwritten(UNNAMED);
    Reading reading =
        new Reader(unwritten, catalogue, journeys, known, today).add(RunSheet.OPENING, text, caret);
    return new RuleReading(
        switch (reading.result()) {
          case Reading.Understood understood -> result(understood, text, catalogue);
          case Reading.Refused refused -> new Unclear(refused);
        },
        reading.completions());
  }

  private static Result result(Reading.Understood understood, String text, Catalogue catalogue) {
    try {
      return new Understood(StandingRule.of(understood.journey(), catalogue), understood.news());
    } catch (Refused problem) {
      int end = text.length();
      boolean unfinished = understood.journey().body().isEmpty();
      return new Unclear(
          new Reading.Refused(problem.sentence(), unfinished ? end : 0, end, false, List.of()));
    }
  }
}
