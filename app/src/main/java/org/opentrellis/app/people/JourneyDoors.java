package org.opentrellis.app.people;

import java.util.List;
import java.util.Set;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.Name;

/** Knows which journeys people can enter. */
public interface JourneyDoors {

  /** The names of the journeys that somebody enters who gets these tags and lists. */
  List<String> enteredBy(Set<Name> labels);

  /**
   * The journeys that whoever submits a form enters.
   *
   * @param labels the tags and lists that they get by it
   */
  List<Entered> enteredBy(FormName form, Set<Name> labels);

  /**
   * A journey that somebody enters.
   *
   * @param by the form, list or tag that brings them in
   * @param mailsAtOnce whether an email goes out within the first hour
   */
  record Entered(String journey, Name by, boolean mailsAtOnce) {}
}
