package org.opentrellis.app.dryruns;

import java.util.Map;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.computing.ComputingRoom;
import org.opentrellis.app.computing.Lane;
import org.opentrellis.app.computing.Task;
import org.opentrellis.app.http.Incident;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.http.Refusal;
import org.opentrellis.app.storage.StorageTrouble;
import org.opentrellis.app.storage.StorageWatch;
import org.opentrellis.core.dryrun.Effort;
import org.springframework.stereotype.Component;

/** Gives out numbers by which runs that are on their way are asked about, and stopped. */
@Component
class RunDesk {
  /** Runs that are over are told of for so many more that are. */
  private static final int REMEMBERED = 50;

  private final ComputingRoom room;
  private final StorageWatch storage;
  private final AtomicLong numbers = new AtomicLong();
  private final Map<Long, Job> jobs = new ConcurrentSkipListMap<>();

  RunDesk(ComputingRoom room, StorageWatch storage) {
    this.room = room;
    this.storage = storage;
  }

  /**
   * What came of a run.
   *
   * @param run the kept run's id
   * @param said what there is to say of it, if anything
   */
  record Outcome(long run, @Nullable String said) {}

  /** A run on its way; why it failed is told once, and kept. */
  private static final class Job {
    private final Task<Outcome> task;
    private final int people;
    private volatile @Nullable String failure;

    Job(Task<Outcome> task, int people) {
      this.task = task;
      this.people = people;
    }
  }

  /**
   * Begins a run, or queues it.
   *
   * @throws Refusal if too many are waiting
   */
  RunProgress begin(int people, Function<Effort, Outcome> work) {
    Job job = new Job(room.begin(Lane.ofRun(people), work), people);
    job.task.result().exceptionally(failed -> note(failed, job));
    long number = numbers.incrementAndGet();
    jobs.put(number, job);
    forget();
    return progress(number);
  }

  private @Nullable Outcome note(Throwable failed, Job job) {
    if (job.task.state() == Task.State.FAILED) {
      job.failure =
          storage
              .failed(failed)
              .map(StorageTrouble.Kind::sentence)
              .orElseGet(() -> Incident.noted(failed).sentence());
    }
    return null;
  }

  /** The oldest that are over go; what is under way can always be asked about and stopped. */
  private void forget() {
    var over =
        jobs.entrySet().stream()
            .filter(entry -> entry.getValue().task.state().isOver())
            .map(Map.Entry::getKey)
            .toList();
    over.subList(0, Math.max(0, over.size() - REMEMBERED)).forEach(jobs::remove);
  }

  /**
   * @throws NotFound if there is none, or it was over long ago
   */
  RunProgress progress(long number) {
    Job job = find(number);
    return RunProgress.of(number, job.task, job.people, job.failure);
  }

  /** Stops it as soon as may be; one that is over stays as it is. */
  RunProgress cancel(long number) {
    room.stop(find(number).task);
    return progress(number);
  }

  private Job find(long number) {
    Job job = jobs.get(number);
    if (job == null) {
      throw NotFound.of("run on its way", number);
    }
    return job;
  }
}
