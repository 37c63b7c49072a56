package org.opentrellis.core.entrance;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.sentence.Style;

/** What a form asks and what happens then, as sentences to be read aloud. */
public final class EntranceSheet {
  private EntranceSheet() {}

  /**
   * In the order in which things happen.
   *
   * @param messages what messages are called
   */
  public static List<String> of(Entrance entrance, Function<MessageId, String> messages) {
    List<String> lines = new ArrayList<>();
    entrance
        .above()
        .ifPresent(
            page ->
                lines.add(
                    "Shows the parts of "
                        + Style.quoted(messages.apply(page))
                        + " above the form."));
    lines.add("Asks for the address" + asked(entrance) + ".");
    lines.add(
        entrance.agreement().isBlank()
            ? "Says nothing that they agree to, so nothing may be sent to whoever signs up."
            : "They agree: " + said(entrance.agreement()));
    entrance.asks().stream()
        .filter(Asked.Texts.class::isInstance)
        .map(one -> ((Asked.Texts) one).words())
        .forEach(words -> lines.add("They may agree to texts: " + said(words)));
    lines.add(
        entrance.confirms()
            ? "They confirm by email before anything else happens."
            : "Whoever is new is in at once; who is there already confirms by email.");
    puts(entrance).ifPresent(lines::add);
    lines.add(
        switch (entrance.then()) {
          case Then.Words words -> "Then shows: " + said(words.words());
          case Then.Page page ->
              "Then shows the parts of " + Style.quoted(messages.apply(page.message())) + ".";
          case Then.Address address -> "Then leads to " + address.url() + ".";
        });
    entrance
        .handsOut()
        .ifPresent(file -> lines.add("Whoever is in may fetch " + file.value() + "."));
    entrance.tells().ifPresent(who -> lines.add("Tells " + who + " of each who comes in."));
    return lines;
  }

  private static String asked(Entrance entrance) {
    List<String> words = entrance.asks().stream().flatMap(EntranceSheet::asked).toList();
    if (words.isEmpty()) {
      return "";
    }
    return words.size() == 1 ? " and " + words.getFirst() : ", " + and(words);
  }

  private static Stream<String> asked(Asked asked) {
    String optional = asked.required() ? "" : " (if they like)";
    return switch (asked) {
      case Asked.FirstName first -> Stream.of("first name" + optional);
      case Asked.LastName last -> Stream.of("last name" + optional);
      case Asked.Phone phone -> Stream.of("phone number" + optional);
      case Asked.Texts texts -> Stream.empty();
      case Asked.Field field -> Stream.of("field " + field.field().value() + optional);
    };
  }

  private static Optional<String> puts(Entrance entrance) {
    String lists =
        entrance.lists().isEmpty()
            ? ""
            : "puts them on "
                + (entrance.lists().size() == 1 ? "list " : "lists ")
                + and(entrance.lists().stream().map(Name::value).toList());
    String tags =
        entrance.tags().isEmpty()
            ? ""
            : "tags them " + and(entrance.tags().stream().map(Name::value).toList());
    String both =
        Stream.of(lists, tags).filter(one -> !one.isEmpty()).collect(Collectors.joining(" and "));
    return both.isEmpty()
        ? Optional.empty()
        : Optional.of(Character.toUpperCase(both.charAt(0)) + both.substring(1) + ".");
  }

  /** In quotation marks, with one full stop. */
  private static String said(String words) {
    String said = words.strip();
    return Style.quoted(said) + (said.matches("(?s).*[.!?]") ? "" : ".");
  }

  private static String and(List<String> words) {
    return words.size() == 1
        ? words.getFirst()
        : String.join(", ", words.subList(0, words.size() - 1)) + " and " + words.getLast();
  }
}
