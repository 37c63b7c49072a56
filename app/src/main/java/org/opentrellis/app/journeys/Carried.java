package org.opentrellis.app.journeys;

import java.util.Set;
import org.opentrellis.core.journey.Name;

/** Knows which tags and lists somebody of the account has. */
public interface Carried {
  Set<Name> now();
}
