package org.opentrellis.core.reading;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.EmailRef;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Strand;
import org.opentrellis.core.journey.StrandId;
import org.opentrellis.core.sentence.Style;

/** Reads what messages, emails of the journey and strands are called. */
final class NameReader {
  private static final Pattern NTH = Pattern.compile("(\\d{1,4})(st|nd|rd|th)");
  private static final int MOST_LAST = 50;
  private static final int MOST_OFFERED = 3;
  private static final List<String> ORDINALS =
      List.of("first", "second", "third", "fourth", "fifth", "sixth", "seventh");
  private static final String ANY_EMAIL =
      "any (e-?mails?|mails?|messages?)( of (this|the) journey| in (this|the) journey| from us)?|"
          + "(any|one|some) of (them|these|the (e-?mails|mails|messages))|anything|something|"
          + "an (e-?mail|mail)|a (mail|message)";
  private static final String IT =
      "it|them|(that|this)( one)?(?! (e-?mail|mail|message|newsletter))";

  private final Cursor cursor;
  private final Scope scope;

  NameReader(Cursor cursor, Scope scope) {
    this.cursor = cursor;
    this.scope = scope;
  }

  /** “Planner”, the 2nd “Planner” or the missing message “id”. */
  MessageId message(boolean text, String... followers) {
    return sent(text, -1, followers);
  }

  /**
   * The same where it is sent.
   *
   * @param begins where what sends it begins
   */
  MessageId sent(boolean text, int begins, String... followers) {
    String what = text ? "text" : "email";
    List<Message> all = scope.written().all(text);
    all.forEach(one -> cursor.couldName(one.name(), scope.library().message(one.id()), what));
    if (cursor.silently("the missing message")) {
      return new MessageId(cursor.quoted("its id"));
    }
    int nth = nth();
    int from = cursor.at();
    String name = cursor.name(what, all.stream().map(Message::name).toList(), followers);
    requireOtherKind(name, text, from, begins);
    return cursor.meaning(
        from,
        () -> scope.written().find(name, nth, text).orElseGet(() -> write(name, nth, text, from)));
  }

  /** A file goes out as a link in an email of its name. */
  MessageId file(String... followers) {
    int from = cursor.at();
    List<String> names = scope.written().all(false).stream().map(Message::name).toList();
    String name = cursor.name("file", names, followers);
    return cursor.meaning(
        from,
        () ->
            scope
                .written()
                .find(name, 1, false)
                .orElseGet(() -> scope.written().write(name, false, name)));
  }

  private MessageId write(String name, int nth, boolean text, int from) {
    if (nth > 1) {
      throw new NotUnderstood(
          "There are not so many messages called %s.".formatted(Style.quoted(name)),
          from,
          cursor.end());
    }
    return scope.written().write(name, text);
  }

  /** A text does not go out as an email because of a word that is missing, nor the reverse. */
  private void requireOtherKind(String name, boolean text, int from, int begins) {
    boolean other = scope.written().find(name, 1, !text).isPresent();
    if (other && scope.written().find(name, 1, text).isEmpty()) {
      String instead = (text ? "send " : "text ") + Style.quoted(name);
      throw new NotUnderstood(
          "%s is %s, not %s."
              .formatted(
                  Style.quoted(name), text ? "an email" : "a text", text ? "a text" : "an email"),
          from,
          cursor.end(),
          false,
          begins < 0
              ? List.of()
              : List.of(new Suggestion(instead, cursor.instead(begins, cursor.end(), instead))));
    }
  }

  private int nth() {
    int from = cursor.at();
    if (cursor.silently("the")) {
      Matcher nth = cursor.matches(NTH);
      if (nth != null) {
        return Math.max(1, Integer.parseInt(nth.group(1)));
      }
    }
    cursor.back(from);
    return 1;
  }

  /** Which of the journey's emails; the last one above if none is named. */
  EmailRef email(String... followers) {
    int from = cursor.at();
    if (cursor.any("any email of this journey", ANY_EMAIL)) {
      return new EmailRef.AnyOfJourney();
    }
    if (cursor.any("the last email", "the (last|latest|previous) (e-?mail|mail|message|one)")) {
      return new EmailRef.OfLast(1);
    }
    if (cursor.says("none( of (them|the emails))?")) {
      throw new NotUnderstood(
          "Say it with \u201cnot\u201d: \u201cthey did not open any email\u201d.",
          from,
          cursor.end());
    }
    if (cursor.word("any of the last")) {
      int count = new NumberReader(cursor).requireWhole("3 emails");
      cursor.require("emails");
      if (count == 1 || count > MOST_LAST) {
        throw new NotUnderstood(
            "The last 2 to " + MOST_LAST + " emails can be meant, not " + count + ".",
            from,
            cursor.end());
      }
      return new EmailRef.OfLast(count);
    }
    if (cursor.silently("the missing email")) {
      return new EmailRef.OfStep(new StepId(cursor.quoted("its id")));
    }
    return named(from, followers);
  }

  private EmailRef named(int from, String... followers) {
    scope.above().forEach(this::offer);
    int before = cursor.at();
    if (cursor.says(IT) || !namesSomething(followers)) {
      return lastAbove(from);
    }
    if (cursor.says("(the|this|that) (e-?mail|mail|message|newsletter)")) {
      if (!namesSomething(followers)) {
        return lastAbove(from);
      }
      before = cursor.at();
    }
    EmailRef counted = nthEmail();
    if (counted != null) {
      return counted;
    }
    cursor.back(before);
    boolean article = cursor.silently("the");
    cursor.back(before);
    int nth = nth();
    boolean ordinal = article && cursor.at() != before;
    List<String> names =
        Stream.concat(scope.above().stream(), scope.library().sends().stream())
            .map(scope.library()::nameOf)
            .distinct()
            .toList();
    String name = cursor.reference("email", names, followers);
    Optional<StepId> step = ordinal ? scope.send(name, nth) : scope.send(name);
    return new EmailRef.OfStep(
        step.orElseThrow(
            () ->
                new NotUnderstood(
                    "This journey sends no email that is called \u201c" + name + "\u201d.",
                    from,
                    cursor.end(),
                    false,
                    nearest(name, names, from))));
  }

  private List<Suggestion> nearest(String name, List<String> names, int from) {
    int to = cursor.end();
    return Stream.concat(Nearest.name(name, names).stream(), names.stream())
        .distinct()
        .limit(MOST_OFFERED)
        .map(Style::quoted)
        .map(one -> new Suggestion(one, cursor.instead(from, to, one)))
        .toList();
  }

  private void offer(Step.Send send) {
    String label = scope.library().email(send.id());
    cursor.couldName(scope.library().nameOf(send), label, "email");
  }

  /** Whether a name stands here, not what follows one. */
  private boolean namesSomething(String... followers) {
    int here = cursor.at();
    boolean ends = cursor.atPause() || Arrays.stream(followers).anyMatch(cursor::sees);
    cursor.back(here);
    return !ends;
  }

  /** "The 2nd email", "the first one", of those above; null if that does not stand here. */
  private @Nullable EmailRef nthEmail() {
    int from = cursor.at();
    cursor.says("the");
    int nth = 0;
    Matcher figures = cursor.matches(NTH);
    if (figures != null) {
      nth = Integer.parseInt(figures.group(1));
    }
    for (int n = 1; n <= ORDINALS.size() && nth == 0; n++) {
      nth = cursor.says(ORDINALS.get(n - 1)) ? n : 0;
    }
    boolean meant = nth > 0 && cursor.says("e-?mail|mail|message|one") && !cursor.atQuote();
    if (!meant) {
      cursor.back(from);
      return null;
    }
    if (nth > scope.above().size()) {
      throw new NotUnderstood(
          scope.above().size() == 1
              ? "Only 1 email is sent above."
              : "Only " + scope.above().size() + " emails are sent above.",
          from,
          cursor.end());
    }
    return new EmailRef.OfStep(scope.above().get(nth - 1).id());
  }

  /** The last email above. */
  EmailRef lastAbove(int from) {
    Step.Send last =
        scope
            .lastEmail()
            .orElseThrow(
                () ->
                    new NotUnderstood(
                        "No email is sent above, so say which one is meant.", from, cursor.end()));
    return new EmailRef.OfStep(last.id());
  }

  /** The email above that has a link. */
  EmailRef emailWith(LinkName link, int from) {
    return scope
        .lastAbove(send -> scope.hasLink(send, link))
        .<EmailRef>map(send -> new EmailRef.OfStep(send.id()))
        .orElseThrow(
            () ->
                new NotUnderstood(
                    "No email above has a link \u201c%s\u201d.".formatted(link.value()),
                    from,
                    cursor.end()));
  }

  StrandId strand() {
    List<Strand> all = scope.library().catalogue().strands();
    all.forEach(one -> cursor.couldName(one.name(), scope.library().strand(one.id()), "strand"));
    if (cursor.silently("the missing strand")) {
      return new StrandId(cursor.quoted("its id"));
    }
    int nth = nth();
    int from = cursor.at();
    String name = cursor.reference("strand", all.stream().map(Strand::name).toList());
    return all.stream()
        .filter(one -> one.name().equalsIgnoreCase(name))
        .skip(nth - 1L)
        .findFirst()
        .map(Strand::id)
        .orElseThrow(
            () ->
                new NotUnderstood(
                    "No strand is called \u201c%s\u201d.".formatted(name), from, cursor.end()));
  }
}
