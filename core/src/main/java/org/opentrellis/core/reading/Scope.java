package org.opentrellis.core.reading;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Variant;
import org.opentrellis.core.sentence.Library;

/**
 * What a sentence can speak of at its place.
 *
 * @param library what ids are called
 * @param written the messages, also those that the text itself brings along
 * @param known the names in use
 * @param journeys the names of the other journeys
 * @param above what is sent above the place, in order
 * @param whole whether it is about the whole journey, not one place of it
 * @param today that a date without a year comes after
 */
record Scope(
    Library library,
    Written written,
    KnownNames known,
    Collection<String> journeys,
    List<Step.Send> above,
    boolean whole,
    LocalDate today) {

  /** The same for a line about the whole journey: all that it sends can be spoken of. */
  Scope ofWhole() {
    return new Scope(library, written, known, journeys, library.sends(), true, today);
  }

  Collection<String> names(Class<? extends Name> kind) {
    return known.of(kind);
  }

  DateReader dates(Cursor cursor) {
    return new DateReader(cursor, today);
  }

  TimeReader times(Cursor cursor) {
    return new TimeReader(cursor, dates(cursor));
  }

  /** Reads a name of a kind; a refusal is told at it. */
  <T extends Name> T named(
      Cursor cursor, String what, Class<T> kind, Function<String, T> make, String... followers) {
    int from = cursor.at();
    String name = cursor.name(what, names(kind), followers);
    return cursor.meaning(from, () -> make.apply(name));
  }

  /** The same where the kind of thing stands behind the name: "the Newcomers list". */
  <T extends Name> T namedBefore(
      Cursor cursor, String what, Class<T> kind, Function<String, T> make, String... followers) {
    String[] all =
        Stream.concat(Stream.of(Names.behind(what)), Stream.of(followers)).toArray(String[]::new);
    T name = named(cursor, what, kind, make, all);
    cursor.says(Names.behind(what));
    return name;
  }

  /** Whether "on" at the place leads to a date field: one that is known, or is said to be one. */
  boolean isOnField(Cursor cursor) {
    int here = cursor.end();
    boolean leads = !cursor.says("on(?! (the )?(day|date) of)");
    if (!leads) {
      leads =
          cursor.says("their|his|her")
              || names(FieldName.class).stream().anyMatch(cursor::seesWords);
      leads = leads || cursor.sees("\u201c|\"");
    }
    cursor.back(here);
    return leads;
  }

  /** The last send above of which something is true. */
  Optional<Step.Send> lastAbove(Predicate<Step.Send> fits) {
    return above.reversed().stream().filter(fits).findFirst();
  }

  Optional<Step.Send> lastEmail() {
    return lastAbove(Step.SendEmail.class::isInstance);
  }

  Optional<Step.Send> sendOf(StepId step) {
    return library.sends().stream().filter(send -> send.id().equals(step)).findFirst();
  }

  boolean hasLink(Step.Send send, LinkName link) {
    return messages(send).anyMatch(message -> message.links().contains(link));
  }

  private Stream<Message> messages(Step.Send send) {
    List<MessageId> ids =
        send.versions().isEmpty()
            ? List.of(send.message())
            : send.versions().stream().map(Variant::message).toList();
    return ids.stream().flatMap(id -> written.find(id).stream());
  }

  /** The links in what is sent above. */
  List<String> linksAbove() {
    return above.stream()
        .flatMap(this::messages)
        .flatMap(message -> message.links().stream())
        .map(LinkName::value)
        .distinct()
        .toList();
  }

  /** Sends by a name, those above the place last to first, then the others. */
  Optional<StepId> send(String name) {
    return lastAbove(send -> isCalled(send, name))
        .or(() -> library.sends().stream().filter(send -> isCalled(send, name)).findFirst())
        .map(Step::id);
  }

  private boolean isCalled(Step.Send send, String name) {
    return library.nameOf(send).equalsIgnoreCase(name);
  }

  /** The n-th send of a name, from 1. */
  Optional<StepId> send(String name, int nth) {
    return library.sends().stream()
        .filter(send -> isCalled(send, name))
        .skip(nth - 1L)
        .findFirst()
        .map(Step::id);
  }
}
