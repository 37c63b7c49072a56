package org.opentrellis.core.machine;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.SendWindow;

/** A compiled step. {@code next} is the node that follows, or {@link Program#END}. */
sealed interface Node {
  int next();

  /** Whether who gets here goes on to {@code next} at once, unless they leave or are held up. */
  default boolean goesStraightOn() {
    return false;
  }

  /**
   * @param send its number among the sends
   * @param text whether it goes to the phone
   * @param onlyIf who gets it, or null for everybody
   * @param once whether nobody gets the message twice
   * @param variants shares of the variants, added up; empty if there is but one
   * @param window when it may go out, or null for whenever
   * @param plain whether it always goes out at once, because no rule could hold it or skip it
   */
  record Send(
      int send,
      boolean text,
      @Nullable Question onlyIf,
      boolean once,
      double[] variants,
      @Nullable SendWindow window,
      boolean plain,
      int next)
      implements Node {
    @Override
    public boolean goesStraightOn() {
      return true;
    }
  }

  /**
   * @param ifPast where to go on if the moment is past
   */
  record Wait(Timer timer, int ifPast, int next) implements Node {}

  /**
   * @param awaited the one question
   */
  record WaitFor(Question[] awaited, Timer atMost, int next) implements Node {}

  /**
   * @param waitUpTo how long to wait for an arm to hold
   * @param questions of the arms in order, without otherwise
   * @param firstOfArm where each arm begins, otherwise last; an empty arm begins behind the branch
   */
  record Branch(Timer waitUpTo, Question[] questions, int[] firstOfArm, int next) implements Node {}

  /**
   * @param shares of the arms, added up
   */
  record Split(double[] shares, int[] firstOfArm, int next) implements Node {}

  record Change(RecordEdit[] edits, int next) implements Node {
    void apply(Visit visit) {
      for (RecordEdit edit : edits) {
        edit.apply(visit.person, visit.now);
      }
    }

    @Override
    public boolean goesStraightOn() {
      return true;
    }
  }

  /**
   * @param journey the other journey's number
   */
  record HandOver(int journey, boolean thenFinish, int next) implements Node {
    @Override
    public boolean goesStraightOn() {
      return !thenFinish;
    }
  }

  /** Nothing that the person notices: a notice, or the place where a strand begins. */
  record Pass(int next) implements Node {
    @Override
    public boolean goesStraightOn() {
      return true;
    }
  }

  record Finish() implements Node {
    @Override
    public int next() {
      return Program.END;
    }
  }
}
