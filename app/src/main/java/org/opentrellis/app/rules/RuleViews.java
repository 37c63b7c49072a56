package org.opentrellis.app.rules;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Unclear;
import org.opentrellis.core.reading.Completion;

/** Rules, as the screen shows them. Moments are epoch seconds. */
final class RuleViews {
  private RuleViews() {}

  /**
   * @param sentence as it is read aloud
   * @param typed as it can be typed again
   * @param on whether it acts
   * @param acted how often it has acted
   * @param lastAt when last; null if never
   */
  record RuleView(
      long id,
      int version,
      String name,
      String sentence,
      String typed,
      boolean on,
      long acted,
      @Nullable Long lastAt) {}

  /**
   * How a typed rule was understood: either {@code meant} or {@code unclear} is there.
   *
   * @param completions ways to go on at the caret
   */
  record RuleReadingView(
      @Nullable RuleMeant meant, @Nullable Unclear unclear, List<Completion> completions) {}

  /**
   * @param sentence as it is read aloud
   * @param name what it is called unless somebody names it
   * @param news names in it that nothing has used so far, such as “new tag buyer”
   */
  record RuleMeant(String sentence, String name, List<String> news) {}

  /**
   * What a rule would have done lately, had it been on.
   *
   * @param sentence that says it
   */
  record RuleLately(String sentence) {}

  /** A rule as it stands while it is typed. */
  record TypedRule(String text, int caret) {}

  /**
   * A rule that is to be kept.
   *
   * @param name null or blank for what it does
   */
  record NewRule(String text, @Nullable String name) {}

  /** A rule as it was changed over the version that was looked at. */
  record RuleSave(int version, String text, String name) {}
}
