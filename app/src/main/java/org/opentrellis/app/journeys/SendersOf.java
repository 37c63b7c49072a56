package org.opentrellis.app.journeys;

import java.util.List;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.core.journey.MessageId;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Knows which journeys send a message, themselves or in a strand. */
@Component
@Transactional(readOnly = true)
public class SendersOf {
  private final JourneyIndex index;
  private final Catalogues catalogues;

  SendersOf(JourneyIndex index, Catalogues catalogues) {
    this.index = index;
    this.catalogues = catalogues;
  }

  /** By number; archived ones too. */
  public List<Long> message(MessageId message) {
    return index.using(catalogues.current().usersOf(message));
  }
}
