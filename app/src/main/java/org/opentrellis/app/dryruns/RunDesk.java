package org.opentrellis.app.dryruns;

import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.computing.ComputingRoom;
import org.opentrellis.app.computing.Desk;
import org.opentrellis.app.computing.Lane;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.http.Refusal;
import org.opentrellis.app.storage.StorageWatch;
import org.opentrellis.core.dryrun.Effort;
import org.springframework.stereotype.Component;

/** Runs on their way, by numbers that they are asked about and stopped by. */
@Component
class RunDesk {
  private final ComputingRoom room;

  /** With how many people go through. */
  private final Desk<Outcome, Integer> desk;

  RunDesk(ComputingRoom room, StorageWatch storage) {
    this.room = room;
    this.desk = new Desk<>("run on its way", room, storage);
  }

  /**
   * What came of a run.
   *
   * @param run the kept run's id
   * @param said what there is to say of it, if anything
   */
  record Outcome(long run, @Nullable String said) {}

  /**
   * Begins a run, or queues it.
   *
   * @throws Refusal if too many are waiting
   */
  RunProgress begin(int people, Function<Effort, Outcome> work) {
    return progress(desk.put(room.begin(Lane.ofRun(people), work), people));
  }

  /**
   * @throws NotFound if there is none, or it was over long ago
   */
  RunProgress progress(long number) {
    var run = desk.find(number);
    return RunProgress.of(number, run.task(), run.about(), run.failure());
  }

  /** Stops it as soon as may be; one that is over stays as it is. */
  RunProgress cancel(long number) {
    desk.cancel(number);
    return progress(number);
  }
}
