package org.opentrellis.core.journey;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A question about one person that has an answer at every moment. */
public sealed interface Condition {

  /** The conditions right inside this one; none for a plain question. */
  default List<Condition> parts() {
    return List.of();
  }

  /** This condition and all inside it. */
  default Stream<Condition> all() {
    return Stream.concat(Stream.of(this), parts().stream().flatMap(Condition::all));
  }

  /** A question about what became of an email that this journey sent. */
  sealed interface AboutEmail extends Condition permits Opened, Clicked {
    StepId email();
  }

  /**
   * The email was opened. Recorded opens include machine pre-loads unless {@code peopleOnly}.
   *
   * @param email the step that sends it
   * @param peopleOnly whether machine pre-loads are left out
   */
  record Opened(StepId email, boolean peopleOnly) implements AboutEmail {}

  /**
   * A link in the email was clicked.
   *
   * @param email the step that sends it
   * @param link the one link that counts, or empty for any
   */
  record Clicked(StepId email, Optional<LinkName> link) implements AboutEmail {}

  record HasTag(TagName tag) implements Condition {}

  record OnList(ListName list) implements Condition {}

  /** Every part holds; true without parts. */
  record All(List<Condition> parts) implements Condition {
    public All {
      parts = List.copyOf(parts);
    }
  }

  /** At least one part holds; false without parts. */
  record Any(List<Condition> parts) implements Condition {
    public Any {
      parts = List.copyOf(parts);
    }
  }

  /** No part holds; true without parts. */
  record None(List<Condition> parts) implements Condition {
    public None {
      parts = List.copyOf(parts);
    }
  }
}
