package org.opentrellis.core.elsewhere;

import org.jspecify.annotations.Nullable;

/** Why a run could not be made on other machines, as a sentence. */
public final class ClusterTrouble extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public ClusterTrouble(String sentence, @Nullable Throwable cause) {
    super(sentence, cause);
  }
}
