package org.opentrellis.core.rule;

import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.sentence.Sentences;

/** A rule in one sentence. */
public final class RuleSheet {
  private static final int LONGEST_NAME = 60;
  private static final Pattern HERE = Pattern.compile(", and (finish|go on) here$");

  private RuleSheet() {}

  /** As it is read aloud. */
  public static String spoken(StandingRule rule, Catalogue catalogue) {
    return said(rule, new Sentences(rule.journey(), catalogue));
  }

  /** As it can be typed again. */
  public static String typed(StandingRule rule, Catalogue catalogue) {
    return said(rule, new Sentences(rule.journey(), catalogue).typed());
  }

  private static String said(StandingRule rule, Sentences sentences) {
    String does =
        rule.does().stream()
            .map(step -> StandingRule.lower(said(step, sentences)))
            .collect(Collectors.joining(", then "));
    return sentences.whenever().text() + ": " + does;
  }

  /** Nothing follows a hand-over that could be left out. */
  private static String said(Step step, Sentences sentences) {
    return HERE.matcher(sentences.step(step).text()).replaceFirst("");
  }

  /** What a rule is called that nobody has named: what it does. */
  public static String name(StandingRule rule, Catalogue catalogue) {
    Sentences sentences = new Sentences(rule.journey(), catalogue);
    String does = said(rule.does().getFirst(), sentences);
    return does.length() <= LONGEST_NAME
        ? does
        : does.substring(0, LONGEST_NAME - 1).strip() + "\u2026";
  }
}
