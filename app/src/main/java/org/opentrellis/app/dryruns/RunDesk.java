package org.opentrellis.app.dryruns;

import jakarta.annotation.PreDestroy;
import java.util.Map;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicLong;
import org.opentrellis.app.http.Incident;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.storage.StorageTrouble;
import org.opentrellis.app.storage.StorageWatch;
import org.opentrellis.core.dryrun.RunCancelled;
import org.springframework.stereotype.Component;

/** Makes runs one after another, beside everything else that is asked of the application. */
@Component
class RunDesk {
  /** Jobs that are over are told of for so many more. */
  private static final int REMEMBERED = 50;

  private final ExecutorService worker = Executors.newSingleThreadExecutor();
  private final AtomicLong numbers = new AtomicLong();
  private final Map<Long, RunJob> jobs = new ConcurrentSkipListMap<>();

  private final StorageWatch storage;

  RunDesk(StorageWatch storage) {
    this.storage = storage;
  }

  /** What a job does. */
  @FunctionalInterface
  interface Work {
    void carryOut(RunJob job);
  }

  RunProgress begin(int people, Work work) {
    RunJob job = new RunJob(numbers.incrementAndGet(), people);
    jobs.put(job.number, job);
    jobs.keySet().removeIf(number -> number <= job.number - REMEMBERED);
    worker.submit(() -> carryOut(job, work));
    return job.progress();
  }

  private void carryOut(RunJob job, Work work) {
    try {
      job.begins();
      work.carryOut(job);
    } catch (RunCancelled stopped) {
      job.cancelled();
    } catch (RuntimeException | Error failure) {
      job.failed(
          storage
              .failed(failure)
              .map(StorageTrouble.Kind::sentence)
              .orElseGet(() -> Incident.noted(failure).sentence()));
    }
  }

  /**
   * @throws NotFound if there is none, or it was over long ago
   */
  RunProgress progress(long number) {
    return find(number).progress();
  }

  /** Stops it as soon as may be; one that is over stays as it is. */
  RunProgress cancel(long number) {
    RunJob job = find(number);
    job.cancel();
    return job.progress();
  }

  private RunJob find(long number) {
    RunJob job = jobs.get(number);
    if (job == null) {
      throw NotFound.of("run on its way", number);
    }
    return job;
  }

  @PreDestroy
  void close() {
    jobs.values().forEach(RunJob::cancel);
    worker.shutdownNow();
  }
}
