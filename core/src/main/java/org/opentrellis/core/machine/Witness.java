package org.opentrellis.core.machine;

/**
 * Is told what happens to a person; counts it, or writes it down. The time is the visit's {@link
 * Visit#now}, the journey its {@link Visit#program}; steps go by node number.
 */
public interface Witness {
  /** Does not care. */
  Witness NOBODY = new Witness() {};

  /** Who is told about the visits of one journey, and of those who may not begin one. */
  default Witness of(Program program) {
    return this;
  }

  /** The person is in. */
  default void begins(Visit visit) {}

  /** The entry filter, or the re-entry rule, kept somebody out. */
  default void turnedAway(Program program, boolean byFilter, long at) {}

  /** Time comes to a moment at which a visit does something, or ends; then what that is. */
  default void comesTo(Visit visit) {}

  default void entered(int step, Visit visit) {}

  /** A message that had to wait for the send window or the frequency guard goes out at last. */
  default void held(int step, long seconds, Visit visit) {}

  default void sent(int step, Sent message) {}

  /**
   * It becomes known that a message comes back, now or later. Told before the message itself knows,
   * once for each moment that is earlier than what was known; so are those below.
   */
  default void bounced(Sent message, long at) {}

  default void openRecorded(Sent message, long at) {}

  default void opened(Sent message, long at) {}

  /**
   * @param link the link's number in its message; -1 if that is not known
   */
  default void clicked(Sent message, int link, long at) {}

  default void ordered(Sent message, long cents, long at) {}

  default void skipped(int step, SkipReason reason, Visit visit) {}

  default void passed(int step, Visit visit) {}

  /**
   * @param way the arm's position, otherwise last
   */
  default void took(int step, int way, Visit visit) {}

  default void left(int step, LeaveReason reason, Visit visit) {}

  /**
   * The person is through.
   *
   * @param step the last, or -1 if there was none
   */
  default void finished(int step, Visit visit) {}

  /** The person is still at the step when the time that is looked at ends. */
  default void waiting(int step, Visit visit) {}
}
