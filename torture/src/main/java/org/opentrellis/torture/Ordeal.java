package org.opentrellis.torture;

import java.io.IOException;

/** One way to make the application suffer. */
@FunctionalInterface
public interface Ordeal {
  /** Once; what comes of it goes into the score. */
  void suffer(Score score) throws IOException;
}
