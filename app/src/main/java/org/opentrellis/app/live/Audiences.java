package org.opentrellis.app.live;

import java.util.BitSet;
import java.util.Optional;

/** Knows whom a fixed date brings into a journey, if it is not simply everybody. */
public interface Audiences {

  /** Whether not everybody comes to a journey's door. */
  boolean isOne(long journey);

  /** By their numbers, as of now; nothing if everybody comes to the journey's door. */
  Optional<BitSet> of(long journey);
}
