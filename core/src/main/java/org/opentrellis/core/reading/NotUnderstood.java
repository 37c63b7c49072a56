package org.opentrellis.core.reading;

import java.util.List;
import java.util.Objects;

/** Thrown at the first place of a text that cannot be read, or that more than one thing fits. */
final class NotUnderstood extends RuntimeException {
  private static final long serialVersionUID = 1L;

  final int from;
  final int to;

  /** Whether nothing is wrong, and only an answer is missing. */
  final boolean asks;

  private final transient List<Suggestion> offers;

  NotUnderstood(String sentence, int from, int to) {
    this(sentence, from, to, false, List.of());
  }

  NotUnderstood(String sentence, int from, int to, boolean asks, List<Suggestion> offers) {
    super(sentence, null, false, false);
    this.from = from;
    this.to = to;
    this.asks = asks;
    this.offers = List.copyOf(offers);
  }

  String sentence() {
    return Objects.requireNonNull(getMessage());
  }

  List<Suggestion> offers() {
    return offers;
  }
}
