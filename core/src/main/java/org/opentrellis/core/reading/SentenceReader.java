package org.opentrellis.core.reading;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.FreshIds;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.sentence.Style;

/**
 * Reads what one sentence adds to a draft: where it goes, when, and what happens then, such as
 * "otherwise wait 2 days, then send “Kits”".
 */
final class SentenceReader {
  private static final String OTHERWISE =
      "otherwise|or else|else|everyone else|everybody else|(for )?(all )?the (others|rest)|if not"
          + "|if (they|he|she) (did|do|does|have|has)(n't| not)|if they don't|no";
  private static final String IF_SO =
      "if so|if yes|in that case|if (they|he|she) (did|do|does|have|has)|yes";
  private static final String OTHER_ARM =
      "the (other|others|second)( half| group| arm)?|(group|version|arm|half) b|b(?=:)";
  private static final String AFTERWARDS =
      "afterwards|either way|in (any|either) case|in both cases|whatever they did|both ways"
          + "|(after that |then )?for (everyone|everybody|all of them|all|both)( again)?"
          + "|everyone(?= then)|everyone:";
  private static final String THEN = "((,|and) )?(and )?(then|after that|next|afterwards)(,)?";
  private static final String IF =
      "(and )?(if|should|in case)|(for )?(those|people|everyone|anyone|everybody) who|whoever";
  private static final String WHEN_THEY = "(when|once|as soon as|whenever) (they|he|she)";

  /** Questions within questions of one sentence; nobody follows more. */
  private static final int MOST_INSIDE = 20;

  private static final int MOST_ROWS = 200;

  private final Cursor cursor;
  private final Draft draft;
  private int inside;

  SentenceReader(Cursor cursor, Draft draft) {
    this.cursor = cursor;
    this.draft = draft;
  }

  /** Reads the sentence at the cursor, up to its end. */
  void read() {
    if (turned()) {
      if (cursor.atSentenceEnd()) {
        return;
      }
      steps();
      return;
    }
    if (!lines()) {
      steps();
    }
  }

  /** Lines about the journey, and what may follow in the sentence: "when …, once, send “A”". */
  private boolean lines() {
    RuleReader.Line line = new RuleReader(cursor, draft.scope(), draft.journey(), "").read();
    if (line == null) {
      return false;
    }
    draft.line(line);
    int here = cursor.end();
    boolean goesOn = cursor.says(THEN) | cursor.says(", but|,|:|and|but");
    if (goesOn && cursor.atSentenceEnd() || !goesOn && !cursor.sees(Words.STEP)) {
      cursor.back(here);
    } else if (!lines()) {
      steps();
    }
    return true;
  }

  private void steps() {
    one();
    while (more()) {
      int from = cursor.at();
      one();
      boolean onlyWhen = draft.step(draft.below()).filter(Step.Wait.class::isInstance).isPresent();
      if (onlyWhen && cursor.atSentenceEnd() && !cursor.seesAt(from, "wait|pause|hold|then")) {
        throw new NotUnderstood(
            "Say when before what happens, as in \u201cthe next day, send \u2026\u201d.",
            from,
            cursor.end());
      }
    }
  }

  /** One step, with when it comes; or another arm, which the next then goes into. */
  private void one() {
    if (draft.rows().size() > MOST_ROWS) {
      throw new NotUnderstood(
          "At most %d lines are read at once. Take the rest afterwards.".formatted(MOST_ROWS),
          cursor.at(),
          cursor.end());
    }
    if (++inside > MOST_INSIDE) {
      throw new NotUnderstood(
          "Too many questions stand inside each other here. Write the rest as lines of their own.",
          cursor.at(),
          cursor.end());
    }
    step();
    inside--;
  }

  private void step() {
    if (whenThey()) {
      return;
    }
    Step wait = wait(new WaitReader(cursor, draft.scope()));
    if (wait != null) {
      draft.add(wait);
      cursor.says("((,|:) )?(and )?then|,|:|and");
      if (cursor.atSentenceEnd()) {
        return;
      }
    }
    if (tries() || question()) {
      return;
    }
    if (testedAbove()) {
      return;
    }
    if (wait != null && cursor.says("at once|immediately")) {
      cursor.says(",|:");
    }
    int begins = cursor.at();
    Step step = new StepReader(cursor, draft.scope(), draft.ids(), null).read();
    if (step == null) {
      throw cursor.lost();
    }
    if (step instanceof Step.Finish && cursor.sees("if")) {
      throw asksWhatIfMeans(begins);
    }
    String next = step.ways().isEmpty() ? step.id().value() : step.ways().get(0).id().value();
    draft.add(step, next);
  }

  /** "Finish if …" could be asked here, or hold all through the journey. */
  private NotUnderstood asksWhatIfMeans(int from) {
    cursor.says("if (they|he|she)|if");
    int begins = cursor.end();
    new ConditionReader(cursor, draft.scope()).read();
    String what = cursor.said(begins, cursor.end()).strip();
    return new NotUnderstood(
        "Is that asked here only, or should they leave at any time?",
        from,
        cursor.end(),
        true,
        List.of(
            new Suggestion(
                "asked here", cursor.instead(from, cursor.end(), "If they " + what + ", finish")),
            new Suggestion(
                "at any time",
                cursor.instead(from, cursor.end(), "Leave as soon as they " + what))));
  }

  /** "After 2 days", "on day 3 at 9", "the next day"; null if nothing of the kind stands here. */
  private @Nullable Step wait(WaitReader reader) {
    cursor.says(
        "(at once|immediately|right away|straight away|first|on entry|day 0|on day 0)(,|:)?");
    var rule = reader.before();
    return rule == null ? null : new Step.Wait(draft.ids().next("wait"), rule);
  }

  /** Whether another step follows in the sentence; its separator is read. */
  private boolean more() {
    int here = cursor.end();
    cursor.silently(",");
    if (turned()) {
      return !cursor.atSentenceEnd();
    }
    cursor.back(here);
    if (cursor.says(THEN)) {
      cursor.silently(",");
      return true;
    }
    cursor.says(", and|, but|,|and|but");
    if (cursor.atQuote()) {
      throw asksWhetherSent(here);
    }
    if (!cursor.atSentenceEnd() && (cursor.sees(Words.STEP) || cursor.sees(IF) || timed())) {
      return true;
    }
    cursor.back(here);
    return false;
  }

  /** "Send “One”, “Two”": whether the other is sent as well. */
  private NotUnderstood asksWhetherSent(int here) {
    int from = cursor.at();
    String name = cursor.quoted("a name");
    String said = Style.quoted(name);
    return new NotUnderstood(
        "Should %s be sent as well, at once?".formatted(said),
        from,
        cursor.end(),
        true,
        List.of(
            new Suggestion(
                "then send " + said, cursor.instead(here, cursor.end(), ", then send " + said)),
            new Suggestion(
                "a day later",
                cursor.instead(here, cursor.end(), ", then wait 1 day, then send " + said))));
  }

  private boolean timed() {
    int here = cursor.end();
    try {
      return new WaitReader(cursor, draft.scope()).before() != null;
    } catch (NotUnderstood none) {
      return none.asks;
    } finally {
      cursor.back(here);
    }
  }

  /** "Otherwise", "if so", "either way": what follows goes elsewhere. */
  private boolean turned() {
    int here = cursor.end();
    cursor.could("otherwise");
    boolean elsewhere = false;
    if (cursor.says(AFTERWARDS) && cut()) {
      elsewhere = behind();
    }
    if (!elsewhere) {
      cursor.back(here);
      int from = cursor.at();
      if (cursor.says(OTHERWISE) && cut(from) && !begunQuestion(from)) {
        return otherwise(from);
      }
      cursor.back(here);
      if (cursor.says(OTHER_ARM) && cut()) {
        return nextArm(from);
      }
      cursor.back(here);
      if (cursor.says(IF_SO) && paused() && !begunQuestion(from)) {
        return firstArm(from);
      }
      cursor.back(here);
    }
    return elsewhere;
  }

  /** Whether the words stand by themselves, and are not the beginning of a question. */
  private boolean cut() {
    if (cursor.says(",|:|then")) {
      return true;
    }
    return cursor.atSentenceEnd() || cursor.sees(Words.STEP);
  }

  private boolean cut(int from) {
    String said = cursor.said(from, cursor.end()).toLowerCase(Locale.ROOT);
    if (said.startsWith("if they") || said.equals("no")) {
      return paused();
    }
    return cut() || !said.startsWith("if") && (cursor.sees(IF) || timed());
  }

  /** "If they have" may be a question that is not finished, where nothing has been asked. */
  private boolean begunQuestion(int from) {
    return cursor.atSentenceEnd()
        && cursor.said(from, cursor.end()).toLowerCase(Locale.ROOT).startsWith("if they")
        && draft.around().isEmpty();
  }

  private boolean paused() {
    return cursor.says(",|:|then") || cursor.atSentenceEnd();
  }

  private boolean otherwise(int from) {
    Draft.Around branch =
        draft.around().stream()
            .filter(one -> one.way() < one.step().ways().size() - 1)
            .findFirst()
            .orElseThrow(() -> noQuestion(from));
    draft.goInto(branch.step(), branch.step().ways().size() - 1);
    return true;
  }

  private boolean nextArm(int from) {
    Draft.Around parting =
        draft.around().stream()
            .filter(one -> one.way() < one.step().ways().size() - 1)
            .findFirst()
            .orElseThrow(() -> noQuestion(from));
    draft.goInto(parting.step(), Math.max(1, parting.way() + 1));
    return true;
  }

  private boolean firstArm(int from) {
    Draft.Around parting =
        draft.around().stream()
            .filter(one -> one.way() <= 0)
            .findFirst()
            .orElseThrow(() -> noQuestion(from));
    draft.goInto(parting.step(), 0);
    return true;
  }

  private boolean behind() {
    draft.around().stream().findFirst().ifPresent(one -> draft.goBehind(one.step()));
    return true;
  }

  private NotUnderstood noQuestion(int from) {
    return new NotUnderstood(
        "Nothing is asked above. Begin with a question, such as \u201cif they opened it\u201d.",
        from,
        cursor.end());
  }

  /** "If they opened it within 2 days": a branch; what follows goes into its arm. */
  private boolean question() {
    if (!cursor.any("if they", IF)) {
      return false;
    }
    FreshIds ids = draft.ids();
    PartingReader reader = new PartingReader(cursor, draft.scope(), ids, null);
    PartingReader.Asked asked = reader.asked(ids.next("branch"));
    draft.add(asked.branch(), asked.arm().value());
    cursor.says("((,|:) )?(and )?then(,|:)?|,|:");
    if (!cursor.atSentenceEnd()) {
      steps();
    }
    return true;
  }

  /** "When they open it" has no end if they never do: how long is asked. */
  private boolean whenThey() {
    int from = cursor.at();
    if (!cursor.says(WHEN_THEY)) {
      return false;
    }
    int begins = cursor.end();
    new ConditionReader(cursor, draft.scope()).read();
    int to = cursor.end();
    String what = cursor.said(begins, to).strip();
    throw new NotUnderstood(
        "How long is that waited for?",
        from,
        to,
        true,
        List.of(
            new Suggestion(
                "within 2 days", cursor.instead(from, to, "If they " + what + " within 2 days")),
            new Suggestion(
                "within 1 week", cursor.instead(from, to, "If they " + what + " within 1 week"))));
  }

  private boolean tries() {
    Optional<RetryReader.Tries> tries = new RetryReader(cursor, draft.scope()).read();
    tries.ifPresent(one -> RetryReader.add(one, draft));
    return tries.isPresent();
  }

  /** "Split test two subjects “A” and “B”": of the email just above. */
  private boolean testedAbove() {
    int from = cursor.at();
    if (!cursor.says(
        "(an? )?(split|a/b)( |-)?tests?( of)?( the)?( two| three| 2| 3)?( the)?( different)? subjects?( lines?)?:?")) {
      return false;
    }
    List<String> subjects = SendReader.requireSubjects(cursor, 2);
    Step.SendEmail email =
        draft
            .step(draft.below())
            .filter(Step.SendEmail.class::isInstance)
            .map(Step.SendEmail.class::cast)
            .orElseThrow(
                () ->
                    new NotUnderstood(
                        "Say which email it is: \u201csend \u2026, split test subjects \u2026\u201d.",
                        from,
                        cursor.end()));
    draft.change(SendReader.tested(email, subjects, draft.ids()));
    return true;
  }
}
