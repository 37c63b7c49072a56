package org.opentrellis.core.walk;

import org.opentrellis.core.machine.Visit;

/** Says what the person does; asked at each message and at each lot. */
public interface Choices {
  Reply to(int send, Visit visit);

  /** Which way they take through a split test, or which variant they get; from 0. */
  int lot(int step, int ways, Visit visit);
}
