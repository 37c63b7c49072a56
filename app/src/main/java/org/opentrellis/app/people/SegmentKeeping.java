package org.opentrellis.app.people;

import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.http.NameTaken;
import org.opentrellis.app.storage.AgainIfTaken;
import org.opentrellis.core.journey.Segment;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps whom a sentence means under a name, for journeys and for other sentences. */
@Service
@Transactional
class SegmentKeeping {
  private final People people;
  private final Catalogues catalogues;

  SegmentKeeping(People people, Catalogues catalogues) {
    this.people = people;
    this.catalogues = catalogues;
  }

  /**
   * @throws ProblemsFound if the name cannot be one, or the sentence is not understood
   * @throws NameTaken if there is a segment of that name
   */
  @AgainIfTaken
  void keep(NewSegment asked) {
    if (asked.find().isBlank()) {
      throw People.wrong("/find", "Say first who they are.");
    }
    try {
      catalogues.add(new Segment(new SegmentName(asked.name()), people.condition(asked.find())));
    } catch (Refused refused) {
      throw ProblemsFound.refused("/name", refused);
    }
  }
}
