package org.opentrellis.core.sentence;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * A sentence in pieces, so that a screen can set off what the user chose.
 *
 * @param spans in order
 */
public record Phrase(List<Span> spans) {
  /** No words at all. */
  public static final Phrase NOTHING = new Phrase(List.of());

  public Phrase {
    spans = List.copyOf(spans);
  }

  static Phrase plain(String text) {
    return new Phrase(List.of(new Span(text, false)));
  }

  static Phrase strong(String text) {
    return new Phrase(List.of(new Span(text, true)));
  }

  Phrase and(String text) {
    return and(plain(text));
  }

  Phrase andStrong(String text) {
    return and(strong(text));
  }

  /** Pieces of one kind that come together become one. */
  Phrase and(Phrase more) {
    List<Span> all = new ArrayList<>(spans);
    for (Span span : more.spans) {
      Span last = all.isEmpty() ? null : all.get(all.size() - 1);
      if (last != null && last.strong() == span.strong()) {
        all.set(all.size() - 1, new Span(last.text() + span.text(), span.strong()));
      } else {
        all.add(span);
      }
    }
    return new Phrase(all);
  }

  /** Joins phrases with words between them. */
  static Phrase join(List<Phrase> phrases, String between) {
    Phrase all = new Phrase(List.of());
    for (int i = 0; i < phrases.size(); i++) {
      all = i == 0 ? phrases.get(0) : all.and(between).and(phrases.get(i));
    }
    return all;
  }

  /** With other words at its beginning. */
  Phrase startingWith(String old, String other) {
    List<Span> all = new ArrayList<>(spans);
    Span first = all.get(0);
    all.set(0, new Span(other + first.text().substring(old.length()), first.strong()));
    return new Phrase(all);
  }

  /** With a capital letter at its beginning. */
  Phrase capitalised() {
    String first = spans.get(0).text().substring(0, 1);
    return startingWith(first, first.toUpperCase(Locale.ROOT));
  }

  /** The words alone. */
  public String text() {
    return spans.stream().map(Span::text).collect(Collectors.joining());
  }
}
