package org.opentrellis.core.message;

import java.util.Optional;
import org.opentrellis.core.journey.LinkName;

/** Where the links of one mail lead. */
public interface LinkAddresses {
  /**
   * @param name what clicks on it are counted as
   * @return a whole web address
   */
  String link(Target to, Optional<LinkName> name);
}
