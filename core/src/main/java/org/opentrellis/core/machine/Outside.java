package org.opentrellis.core.machine;

/**
 * The world outside the machine: lots, and what becomes of what is sent. A driver's side of it. One
 * that already knows what will become of a message notes so at once; one that does not, notes it
 * when it happens.
 */
public interface Outside {
  /** Every lot falls the first way, and nothing becomes of anything. */
  Outside NOTHING =
      new Outside() {
        @Override
        public int lot(int step, double[] ways, Visit visit) {
          return 0;
        }

        @Override
        public void send(Sent message) {}
      };

  /** What decides in the visits of one journey. */
  default Outside of(Program program) {
    return this;
  }

  /**
   * Draws a lot.
   *
   * @param step the node of a split test or of an email with variants
   * @param ways their shares of 1, added up; the last is 1
   * @return which, from 0
   */
  int lot(int step, double[] ways, Visit visit);

  /** A message goes out now. */
  void send(Sent message);
}
