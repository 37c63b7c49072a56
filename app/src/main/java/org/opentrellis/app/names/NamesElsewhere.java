package org.opentrellis.app.names;

import java.util.List;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.reading.KnownNames;

/** What uses names besides journeys and messages. */
public interface NamesElsewhere {
  /** All names that stand there. */
  KnownNames all();

  /** What uses a name, by name. */
  List<NameUse> using(Name name);
}
