package org.opentrellis.core.problem;

import java.util.Objects;

/**
 * One thing that is wrong with what a user gave.
 *
 * @param code stable name for programs, such as {@code empty-wait}
 * @param place where it stands, as a JSON Pointer (RFC 6901) into the document; empty for the whole
 * @param sentence what is wrong and what to do, for a person
 */
public record Problem(String code, String place, String sentence) {
  public Problem {
    Objects.requireNonNull(code, "code");
    Objects.requireNonNull(place, "place");
    Objects.requireNonNull(sentence, "sentence");
  }
}
