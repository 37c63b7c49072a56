package org.opentrellis.core.machine;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.Operand;

/** Somebody in a journey at a moment: what the end of a wait goes by. Times are epoch seconds. */
public interface Stand {
  long now();

  long entryAt();

  /** The clock that the journey's times are read on. */
  ZoneClock clock();

  /** The trigger's position in the journey; -1 if they were put in some other way. */
  int trigger();

  /** What a field of their record holds, or null if it is empty. */
  @Nullable Operand field(int number);
}
