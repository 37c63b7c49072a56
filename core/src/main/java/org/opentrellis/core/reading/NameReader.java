package org.opentrellis.core.reading;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.opentrellis.core.journey.EmailRef;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Strand;
import org.opentrellis.core.journey.StrandId;

/** Reads what messages, emails of the journey and strands are called. */
final class NameReader {
  private static final Pattern NTH = Pattern.compile("(\\d{1,4})(st|nd|rd|th)");
  private static final int MOST_LAST = 50;

  private final Cursor cursor;
  private final Scope scope;

  NameReader(Cursor cursor, Scope scope) {
    this.cursor = cursor;
    this.scope = scope;
  }

  /** “Planner”, the 2nd “Planner” or the missing message “id”. */
  MessageId message(boolean text, String... followers) {
    String what = text ? "text" : "email";
    List<Message> all = scope.library().messages(text);
    all.forEach(one -> cursor.couldName(one.name(), scope.library().message(one.id()), what));
    if (cursor.silently("the missing message")) {
      return new MessageId(cursor.quoted("its id"));
    }
    int nth = nth();
    int from = cursor.at();
    String name = cursor.name(what, all.stream().map(Message::name).toList(), followers);
    return scope
        .message(name, nth, text)
        .orElseThrow(
            () ->
                new NotUnderstood(
                    "No %s is called \u201c%s\u201d yet.".formatted(what, name),
                    from,
                    cursor.end(),
                    name));
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
    if (cursor.any("any email of this journey", "any email")) {
      return new EmailRef.AnyOfJourney();
    }
    if (cursor.word("the last email")) {
      return new EmailRef.OfLast(1);
    }
    if (cursor.word("any of the last")) {
      int count = new TimeReader(cursor).requireWhole("3 emails");
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
    if (cursor.silently("it") || !namesSomething(followers)) {
      return ofLastAbove(from);
    }
    cursor.back(before);
    boolean counted = cursor.silently("the");
    cursor.back(before);
    int nth = nth();
    boolean ordinal = counted && cursor.at() != before;
    List<String> names =
        Stream.concat(scope.above().stream(), scope.library().sends().stream())
            .map(scope.library()::nameOf)
            .distinct()
            .toList();
    String name = cursor.name("email", names, followers);
    Optional<StepId> step = ordinal ? scope.send(name, nth) : scope.send(name);
    return new EmailRef.OfStep(
        step.orElseThrow(
            () ->
                new NotUnderstood(
                    "This journey sends no email that is called \u201c" + name + "\u201d.",
                    from,
                    cursor.end())));
  }

  private void offer(Step.Send send) {
    String label = scope.library().email(send.id());
    cursor.couldName(scope.library().nameOf(send), label, "email");
  }

  /** Whether a name stands here, not what follows one. */
  private boolean namesSomething(String... followers) {
    int here = cursor.at();
    boolean ends = cursor.atEnd() || cursor.silently(",") || cursor.silently(")");
    for (String follower : followers) {
      ends = ends || cursor.silently(follower);
    }
    cursor.back(here);
    return !ends;
  }

  private EmailRef ofLastAbove(int from) {
    Step.Send last =
        scope
            .lastAbove(Step.SendEmail.class::isInstance)
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
    String name = cursor.name("strand", all.stream().map(Strand::name).toList());
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
