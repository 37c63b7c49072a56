package org.opentrellis.core.message;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.opentrellis.core.problem.Refused;

/**
 * A line without marks, such as a subject or what stands on a button.
 *
 * @param words without links and without line breaks
 */
public record OneLine(List<Inline> words) {
  public static final OneLine EMPTY = new OneLine(List.of());
  private static final int LONGEST = 1000;

  public OneLine {
    words = List.copyOf(words);
    for (Inline one : words) {
      boolean plain =
          switch (one) {
            case Inline.Words some -> !some.bold() && !some.italic() && some.link().isEmpty();
            case Inline.Field field -> !field.bold() && !field.italic() && field.link().isEmpty();
            case Inline.Break end -> false;
          };
      if (!plain) {
        throw new Refused("a line of this kind has no bold words, links and line breaks");
      }
    }
    if (typed(words).length() > LONGEST) {
      throw new Refused("a line has at most %,d characters".formatted(LONGEST));
    }
  }

  public static OneLine of(String text) {
    return text.isEmpty() ? EMPTY : new OneLine(List.of(Inline.Words.plain(text)));
  }

  public boolean isBlank() {
    return typed().isBlank();
  }

  public Stream<MergeField> fields() {
    return words.stream().flatMap(OneLine::field);
  }

  /** With its fields as {@code {first name, or keeper}}. */
  public String typed() {
    return typed(words);
  }

  static Stream<MergeField> field(Inline one) {
    return one instanceof Inline.Field field ? Stream.of(field.field()) : Stream.empty();
  }

  static String typed(List<Inline> words) {
    return words.stream()
        .map(
            one ->
                switch (one) {
                  case Inline.Words some -> some.text();
                  case Inline.Field field -> field.field().typed();
                  case Inline.Break end -> "\n";
                })
        .collect(Collectors.joining());
  }

  /** The words that are the same for everybody, with the fallbacks in their places. */
  public String forNobody() {
    return words.stream()
        .map(
            one ->
                switch (one) {
                  case Inline.Words some -> some.text();
                  case Inline.Field field ->
                      Optional.of(field.field().fallback())
                          .filter(fallback -> !fallback.isEmpty())
                          .orElse(field.field().source().said());
                  case Inline.Break end -> " ";
                })
        .collect(Collectors.joining());
  }
}
