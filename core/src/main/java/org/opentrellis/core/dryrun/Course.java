package org.opentrellis.core.dryrun;

/**
 * One person's course through a journey, once it is over or they are not looked at any more. Times
 * are epoch seconds; what does not happen is at {@link org.opentrellis.core.machine.Person#NEVER}.
 */
interface Course {
  long entryAt();

  /** The last moment that counts. */
  long end();

  /** When they were out of the journey, or its end for them. */
  long until();

  /** What their way is told by. */
  long pathKey();

  long goalAt();

  boolean secondaryGoalMet(int n);

  /** When they were lost for all journeys. */
  long goneAt();

  long unsubscribesAt();

  long complainsAt();

  /** The send that they unsubscribed because of, if it did not come back; else -1. */
  int unsubscribedBy();

  /** How many messages went out. */
  int sends();

  /** How many of them were emails. */
  int emails();

  /** The number of the n-th that went out. */
  int sendInOrder(int n);

  /** When a message went out, by its number among the sends. */
  long sentAt(int send);

  long deliveredAt(int send);

  long recordedOpenAt(int send);

  long peopleOpenAt(int send);

  long clickAt(int send);

  /** What was bought, in order of time. */
  int purchases();

  long boughtAt(int n);

  long cents(int n);
}
