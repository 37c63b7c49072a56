package org.opentrellis.core.journey;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.Wait;

/** One line of the run sheet: something that happens to a person, in order. */
public sealed interface Step {

  StepId id();

  /** This step and every step inside it, in the order of the run sheet. */
  default Stream<Step> all() {
    return Stream.of(this);
  }

  /**
   * Sends an email.
   *
   * @param message which
   * @param subject a subject of its own for this send, instead of the message's
   */
  record SendEmail(StepId id, MessageId message, Optional<String> subject) implements Step {}

  record Pause(StepId id, Wait rule) implements Step {}

  /**
   * Parts the people: the first arm whose condition holds wins, then otherwise. After the arms
   * everyone who is still in the journey goes on with the step behind the branch.
   *
   * @param waitUpTo how long to wait for an arm to hold; empty to decide at once
   * @param arms in order; at least one
   * @param otherwise everyone else
   */
  record Branch(StepId id, Optional<Amount> waitUpTo, List<Arm> arms, Arm otherwise)
      implements Step {
    public Branch {
      arms = List.copyOf(arms);
      if (arms.isEmpty()) {
        throw new IllegalArgumentException("branch " + id + " needs at least one arm");
      }
    }

    /** The arms in order, otherwise last. */
    public List<Arm> allArms() {
      return Stream.concat(arms.stream(), Stream.of(otherwise)).toList();
    }

    @Override
    public Stream<Step> all() {
      return Stream.concat(
          Stream.of(this),
          allArms().stream().flatMap(arm -> arm.steps().stream().flatMap(Step::all)));
    }
  }

  /**
   * Changes the person's record.
   *
   * @param changes in order; at least one
   */
  record Change(StepId id, List<RecordChange> changes) implements Step {
    public Change {
      changes = List.copyOf(changes);
      if (changes.isEmpty()) {
        throw new IllegalArgumentException("change " + id + " changes nothing");
      }
    }
  }

  /** Ends the journey for whoever gets here. */
  record Finish(StepId id) implements Step {}
}
