package org.opentrellis.core.machine;

import java.util.List;

/**
 * A step of a {@link PlainProgram}. {@code next} is the step that follows, or {@link
 * Program#NOWHERE}.
 */
public sealed interface PlainStep {

  /** An email that always goes out at once. */
  record Send(int send, double[] variants, int next) implements PlainStep {}

  /**
   * @param days whole days that it takes by the clock; 0 if that is not how long it is
   */
  record Wait(Ends ends, int days, int ifPast, int next) implements PlainStep {}

  /** Waits until something holds, for a time at most. */
  record WaitFor(PlainQuestion what, Ends atMost, int next) implements PlainStep {}

  /**
   * @param questions of the arms in order, without otherwise
   * @param firstOfArm where each arm begins, otherwise last
   */
  record Ask(Ends atMost, List<PlainQuestion> questions, int[] firstOfArm) implements PlainStep {}

  record Split(double[] shares, int[] firstOfArm) implements PlainStep {}

  /**
   * Tags and lists.
   *
   * @param removes those that are taken away, as the bits of their numbers
   * @param adds those that are set afterwards
   * @param had those that are set at any moment of it
   */
  record Mark(long removes, long adds, long had, int next) implements PlainStep {}

  /** Nothing that could be noticed. */
  record Pass(int next) implements PlainStep {}

  /** When a wait ends. */
  interface Ends {
    /** The moment is past. */
    long PAST = Timer.PAST;

    long at(Stand stand);
  }
}
