package org.opentrellis.app.people;

import java.util.List;
import java.util.Set;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.Name;

/** Knows which journeys people can enter. */
public interface JourneyDoors {

  /** The names of the journeys that somebody enters who gets these tags and lists. */
  List<String> enteredBy(Set<Name> labels);

  /** The names of the journeys that whoever submits a form enters. */
  List<String> enteredByForm(FormName form);
}
