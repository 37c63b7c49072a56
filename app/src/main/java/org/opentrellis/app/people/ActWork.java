package org.opentrellis.app.people;

/**
 * Does one kind of act, a piece at a time. Each call runs in a transaction of its own, in which the
 * act's new place is kept as well: after a crash it goes on behind the last piece that was kept.
 */
public interface ActWork {
  ActKind kind();

  /** Does the next piece; the act as it is then, {@link ActState#DONE} once there is no more. */
  Act forward(Act act);

  /** Takes the next piece back; {@link ActState#TAKEN_BACK} once there is no more. */
  Act back(Act act);
}
