package org.opentrellis.core.walk;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.machine.Visit;

/** Says what the person does; asked at each message and at each lot. */
public interface Choices {
  /** What they do with a message; null to leave it to whatever decides otherwise. */
  @Nullable Reply to(int send, Visit visit);

  /** Which way they take through a split test, or which variant they get; from 0. */
  int lot(int step, int ways, Visit visit);
}
