package org.opentrellis.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.SendWindow;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FreshIds;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Variant;
import org.opentrellis.core.sentence.Style;

/** Reads what is sent, to whom, and as what. */
final class SendReader {
  private static final String[] FOLLOWERS = {
    "only",
    "once",
    "from",
    "if",
    "subject",
    "preview",
    "again",
    "under (a|the|another) (new |different )?subject",
    "with (a|the|another)( new| different)? subject",
    "with (the )?(two |three |2 |3 )?(different )?subjects?",
    "to (them|everyone|everybody|those|people|anyone|all)",
    "on weekdays",
    "at once|immediately|right away|straight away",
    "then",
    "and (?=then|send|wait|tag|add|remove|move|finish|end|stop|hand|unsubscribe|text)",
    "wait(?= \\d| an?| until| for| one| two| three)",
    "otherwise",
    "else",
    "split test",
    "after (?=\\d|an?|one|two|three)"
  };
  private static final String EMAIL =
      "(send|mail)( out)?( them| him| her)?( the| an?| another)?( new| next)? (e-?mail|mail|message|newsletter)"
          + "( called| named| with the subject)?|(send|mail|e-?mail)( out)?( them| him| her)( the| an?)?"
          + "|mail( the)?|e-mail|email( the)?";
  private static final String TEXT =
      "(send|write)( out)?( them| him| her)?( the| an?| another)? (text message|text|sms)( message)?( called| saying)?|sms"
          + "|text( them| him| her)";
  private static final String SUBJECT =
      "((under|with) )?(a |the |another )?(new |different )?subject( line)?( of)?:?";

  private final Cursor cursor;
  private final Scope scope;
  private final @Nullable Step old;
  private final FreshIds ids;
  private final NameReader names;
  private final ConditionReader conditions;

  /**
   * @param old the step that the sentence is to take the place of, or null for a new one
   */
  SendReader(Cursor cursor, Scope scope, FreshIds ids, @Nullable Step old) {
    this.cursor = cursor;
    this.scope = scope;
    this.ids = ids;
    this.old = old;
    this.names = new NameReader(cursor, scope);
    this.conditions = new ConditionReader(cursor, scope);
  }

  /** The step, or null if nothing is sent here. */
  @Nullable Step read(Function<String, StepId> id) {
    if (cursor.any("send by lot")) {
      return byLot(id);
    }
    int start = cursor.end();
    int begins = cursor.at();
    cursor.back(start);
    if (cursor.says("send( them| him| her)?( the| a)? (file|download|pdf)")) {
      return email(names.file(FOLLOWERS), id);
    }
    if (cursor.says("resend|(send|try)( it| them)?( once)? again(?! up| \\d| twice| three)")) {
      return again(id);
    }
    if (cursor.any("text", TEXT) && !isEmailCalled(start)) {
      return text(names.sent(true, begins, FOLLOWERS), id);
    }
    cursor.back(start);
    if (cursor.says(
        "send( out)?( them| him| her)?( the| an?| another)?(?= (text|sms)s?( \u201c| \"|,|$))")) {
      throw cursor.lost();
    }
    if (cursor.any("send", "email")) {
      if (cursor.sees("\u201c|\"")) {
        return email(names.sent(false, begins, FOLLOWERS), id);
      }
      cursor.back(start);
    }
    boolean sends = cursor.says(EMAIL) || cursor.says("send( out)?( them| him| her)?");
    return sends ? email(names.sent(false, begins, FOLLOWERS), id) : null;
  }

  /** Whether an email is called so that its name begins like a text: “Text me back”. */
  private boolean isEmailCalled(int start) {
    int here = cursor.end();
    cursor.back(start);
    boolean called =
        cursor.says("send")
            && scope.written().all(false).stream().anyMatch(m -> cursor.seesWords(m.name()));
    cursor.back(called ? start : here);
    return called;
  }

  private Step text(MessageId message, Function<String, StepId> id) {
    Optional<Condition> onlyIf = onlyIf();
    Optional<SendWindow> window = window();
    boolean once = once();
    return new Step.SendText(id.apply("text"), message, onlyIf, once, window);
  }

  private boolean once() {
    return cursor.also("once per person", "(only )?once( each| per customer)?(?! every)");
  }

  private Step byLot(Function<String, StepId> make) {
    List<Variant> before =
        old instanceof Step.SendEmail email ? email.variants() : List.<Variant>of();
    StepId id = make.apply("send");
    List<Variant> variants = new ArrayList<>();
    do {
      MessageId message = names.message(false, "to");
      Optional<String> subject =
          cursor.silently(",") ? Optional.of(cursor.quoted("a subject")) : Optional.empty();
      cursor.require("to");
      int n = variants.size();
      StepId variant = n < before.size() ? before.get(n).id() : ids.next(id.value() + "-v");
      double percent = percent(cursor);
      variants.add(new Variant(variant, message, subject, percent));
    } while (cursor.word("or"));
    MessageId message =
        old instanceof Step.SendEmail email ? email.message() : variants.get(0).message();
    Step.SendEmail sent = (Step.SendEmail) email(message, one -> id);
    return sent.edit().variants(variants).done();
  }

  static double percent(Cursor cursor) {
    cursor.could("50%");
    int from = cursor.at();
    Double percent = new NumberReader(cursor).number();
    if (percent == null) {
      throw cursor.lost();
    }
    cursor.says("%|per ?cent");
    if (!(percent >= 0 && percent <= 100)) {
      throw new NotUnderstood("A share must be 0% to 100%.", from, cursor.end());
    }
    return percent;
  }

  private Step email(MessageId message, Function<String, StepId> make) {
    int from = cursor.at();
    cursor.says("to (them|everyone|everybody|all)(?! who)");
    cursor.says("again|at once|immediately|right away|straight away");
    List<String> tested = testedSubjects();
    Optional<String> subject = tested.isEmpty() ? subject() : Optional.empty();
    Optional<String> preview = said("preview", "a preview text");
    Optional<String> sender = said("from", "a sender");
    Optional<Condition> onlyIf = onlyIf();
    Optional<String> late = subject.isEmpty() && tested.isEmpty() ? subject() : subject;
    Optional<SendWindow> window = window();
    boolean once = once();
    boolean untracked = cursor.also("opens not tracked");
    boolean parameters = cursor.also("with campaign parameters");
    StepId id = make.apply("send");
    List<Variant> variants = tested.isEmpty() ? List.of() : variants(id, message, tested, ids);
    return cursor.meaning(
        from,
        () ->
            new Step.SendEmail(
                id,
                message,
                late,
                preview,
                sender,
                variants,
                onlyIf,
                once,
                untracked,
                parameters,
                window));
  }

  /** The same email again: the last one above, or one that is named. */
  private Step again(Function<String, StepId> make) {
    int from = cursor.at();
    boolean named =
        cursor.atQuote() || !cursor.atPause() && !cursor.sees("under|with|to|it|if|only");
    MessageId message;
    if (named) {
      message = names.message(false, FOLLOWERS);
    } else {
      cursor.says("it|the (same )?(e-?mail|mail|message)");
      message =
          scope
              .lastAbove(Step.SendEmail.class::isInstance)
              .map(Step.Send::message)
              .orElseThrow(
                  () ->
                      new NotUnderstood(
                          "No email is sent above, so say which one is sent again.",
                          from,
                          cursor.end()));
    }
    return email(message, make);
  }

  /** "Split test subjects “A” and “B”": each to as many. */
  private List<String> testedSubjects() {
    int here = cursor.end();
    cursor.silently(",");
    cursor.says("and");
    if (!cursor.says(
        "(with )?(an? )?(split|a/b)( |-)?tests?( of)?( the)?( two| three| 2| 3)?( the)? subjects?( lines?)?:?"
            + "|with (two|three|2|3) subjects:?")) {
      cursor.back(here);
      return List.of();
    }
    return requireSubjects(cursor, 2);
  }

  /** Some subjects in quotation marks; they are asked for if there are too few. */
  static List<String> requireSubjects(Cursor cursor, int atLeast) {
    int from = cursor.at();
    List<String> subjects = new ArrayList<>();
    int here = cursor.end();
    while (cursor.atQuote()) {
      subjects.add(cursor.quoted("a subject"));
      here = cursor.end();
      cursor.says("and|or|against|versus|vs|/|, and|,");
    }
    cursor.back(here);
    if (subjects.size() < atLeast) {
      throw new NotUnderstood(
          subjects.isEmpty()
              ? "Which subjects? Write them in quotation marks: \u201cone\u201d and \u201canother\u201d."
              : "Which other subject? Write it in quotation marks behind \u201cand\u201d.",
          from,
          cursor.end(),
          true,
          List.of());
    }
    return subjects;
  }

  /** An email that is sent under some subjects by lot. */
  static Step.SendEmail tested(Step.SendEmail email, List<String> subjects, FreshIds ids) {
    return email.edit().variants(variants(email.id(), email.message(), subjects, ids)).done();
  }

  private static List<Variant> variants(
      StepId id, MessageId message, List<String> subjects, FreshIds ids) {
    double percent = Math.round(1000.0 / subjects.size()) / 10.0;
    List<Variant> variants = new ArrayList<>();
    for (String subject : subjects) {
      boolean last = variants.size() == subjects.size() - 1;
      double rest = Math.round((100 - percent * variants.size()) * 10) / 10.0;
      variants.add(
          new Variant(
              ids.next(id.value() + "-v"), message, Optional.of(subject), last ? rest : percent));
    }
    return variants;
  }

  private Optional<String> subject() {
    int here = cursor.end();
    int from = cursor.at();
    if (!cursor.also("subject", "(and )?(" + SUBJECT + ")")) {
      return Optional.empty();
    }
    if (cursor.atQuote()) {
      return Optional.of(cursor.quoted("a subject"));
    }
    boolean asksForNew = cursor.said(here, cursor.end()).contains("new");
    int to = cursor.end();
    String example = " " + Style.quoted("Did you see this?");
    throw new NotUnderstood(
        asksForNew
            ? "Which new subject? Write it in quotation marks."
            : "Which subject? Write it in quotation marks.",
        from,
        to,
        true,
        List.of(new Suggestion("for now" + example, cursor.instead(to, to, example))));
  }

  private Optional<String> said(String word, String what) {
    return cursor.also(word) ? Optional.of(cursor.quoted(what)) : Optional.empty();
  }

  private Optional<SendWindow> window() {
    int here = cursor.end();
    if (cursor.also(
        "sent only", "(but )?only(?= on | mon| tue| wed| thu| fri| sat| sun| weekdays)")) {
      return Optional.of(scope.times(cursor).window());
    }
    cursor.back(here);
    return Optional.empty();
  }

  private Optional<Condition> onlyIf() {
    boolean asks =
        cursor.also("only if they")
            || cursor.also(
                "only if",
                "(but )?only to (those|people|everyone|anyone) who",
                "to (those|people|everyone|anyone|all) who");
    if (!asks) {
      asks = cursor.also("if");
    }
    return asks ? Optional.of(conditions.read()) : Optional.empty();
  }
}
