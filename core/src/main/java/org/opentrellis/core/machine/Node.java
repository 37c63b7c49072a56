package org.opentrellis.core.machine;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.Wait;

/** A compiled step. {@code next} is the node that follows, or {@link Program#END}. */
sealed interface Node {
  int next();

  record Send(int email, int next) implements Node {}

  record Pause(Wait rule, int next) implements Node {}

  /**
   * @param waitUpTo how long to wait for an arm to hold, or null to decide at once
   * @param questions of the arms in order, without otherwise
   * @param firstOfArm where each arm begins, otherwise last; an empty arm begins behind the branch
   */
  record Branch(@Nullable Amount waitUpTo, List<Question> questions, int[] firstOfArm, int next)
      implements Node {}

  /**
   * @param marks tags and lists in order of change
   * @param on whether each is set or cleared
   */
  record Change(int[] marks, boolean[] on, int next) implements Node {}

  record Finish() implements Node {
    @Override
    public int next() {
      return Program.END;
    }
  }
}
