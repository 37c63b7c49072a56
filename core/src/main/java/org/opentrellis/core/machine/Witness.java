package org.opentrellis.core.machine;

/** Is told what happens to a person; counts it, or writes it down. Steps go by node number. */
public interface Witness {
  void entered(int step, PersonState person);

  void passed(int step, PersonState person);

  /**
   * @param arm the arm's position, otherwise last
   */
  void took(int branch, int arm, PersonState person);

  void left(int step, LeaveReason reason, PersonState person);

  void finished(PersonState person);

  /** The person is still at the step when the time that is looked at ends. */
  void waiting(int step, PersonState person);
}
