package org.opentrellis.core.machine;

/** Takes the emails that the machine sends; a driver's side of the machine. */
@FunctionalInterface
public interface Postbox {
  /**
   * An email goes out now. A driver that already knows what will become of it notes so in the
   * person's state; one that does not, notes it when it happens.
   *
   * @param email its number in the program
   */
  void send(int email, PersonState person);
}
