package org.opentrellis.app.live;

import java.util.BitSet;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Who is inside of journeys now. */
@Component
@Transactional(readOnly = true)
public class InsideJourneys {
  private final LifeMapper lives;

  InsideJourneys(LifeMapper lives) {
    this.lives = lives;
  }

  /** The numbers of those who are inside one of some journeys. */
  public BitSet ofAny(List<Long> journeys) {
    BitSet inside = new BitSet();
    if (!journeys.isEmpty()) {
      lives
          .insideAny(journeys.toArray(Long[]::new))
          .forEach(person -> inside.set(Math.toIntExact(person)));
    }
    return inside;
  }

  /** Whether somebody is inside a journey. */
  public boolean isSomebody(long journey) {
    return !lives.inside(journey, 1).isEmpty();
  }
}
