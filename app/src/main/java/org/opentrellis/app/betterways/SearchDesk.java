package org.opentrellis.app.betterways;

import java.util.Map;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.computing.ComputingRoom;
import org.opentrellis.app.computing.Lane;
import org.opentrellis.app.computing.Task;
import org.opentrellis.app.http.Incident;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.http.Refusal;
import org.opentrellis.app.storage.StorageTrouble;
import org.opentrellis.app.storage.StorageWatch;
import org.opentrellis.core.dryrun.RunControl;
import org.opentrellis.core.search.BetterWays;
import org.opentrellis.core.search.Search;
import org.opentrellis.core.search.SearchPlan;
import org.opentrellis.core.search.SearchWatch;
import org.opentrellis.core.search.SearchWords;
import org.springframework.stereotype.Component;

/** Searches on their way, by numbers that they are asked about, cut short and stopped by. */
@Component
class SearchDesk {
  /** Searches that are over are told of for so many more. */
  private static final int REMEMBERED = 50;

  private final ComputingRoom room;
  private final StorageWatch storage;
  private final AtomicLong numbers = new AtomicLong();
  private final Map<Long, Job> jobs = new ConcurrentSkipListMap<>();

  SearchDesk(ComputingRoom room, StorageWatch storage) {
    this.room = room;
    this.storage = storage;
  }

  /** A search on its way. */
  private static final class Job implements SearchWatch {
    private final SearchPlan search;
    private final long personRuns;
    private volatile @Nullable Task<BetterWays> task;
    private volatile @Nullable RunControl control;
    private volatile boolean enough;
    private volatile @Nullable Best best;
    private volatile @Nullable String failure;

    Job(SearchPlan search) {
      this.search = search;
      this.personRuns = search.size().personRuns();
    }

    @Override
    public void reached(int people) {
      RunControl watching = control;
      if (watching != null) {
        watching.reached(people);
      }
    }

    @Override
    public boolean enough() {
      return enough;
    }

    @Override
    public void best(Best other) {
      best = other;
    }

    Task<BetterWays> task() {
      Task<BetterWays> begun = task;
      if (begun == null) {
        throw new IllegalStateException("asked about before it was begun");
      }
      return begun;
    }
  }

  /**
   * Begins a search, or queues it.
   *
   * @param keep what is done with its outcome
   * @throws Refusal if too many are waiting
   */
  SearchStand begin(SearchPlan search, Consumer<BetterWays> keep) {
    Job job = new Job(search);
    job.task =
        room.begin(
            Lane.USUAL,
            effort -> {
              job.control = effort.control();
              BetterWays found = Search.of(search, job);
              keep.accept(found);
              return found;
            });
    job.task().result().exceptionally(failed -> note(failed, job));
    long number = numbers.incrementAndGet();
    jobs.put(number, job);
    forget();
    return stand(number);
  }

  private @Nullable BetterWays note(Throwable failed, Job job) {
    if (job.task().state() == Task.State.FAILED) {
      job.failure =
          storage
              .failed(failed)
              .map(StorageTrouble.Kind::sentence)
              .orElseGet(() -> Incident.noted(failed).sentence());
    }
    return null;
  }

  private void forget() {
    var over =
        jobs.entrySet().stream()
            .filter(entry -> entry.getValue().task().state().isOver())
            .map(Map.Entry::getKey)
            .toList();
    over.subList(0, Math.max(0, over.size() - REMEMBERED)).forEach(jobs::remove);
  }

  /**
   * @throws NotFound if there is none, or it was over long ago
   */
  SearchStand stand(long number) {
    Job job = find(number);
    Task<BetterWays> task = job.task();
    double share =
        task.state() == Task.State.DONE
            ? 1
            : Math.min(0.99, (double) task.through() / job.personRuns);
    boolean told = task.state() == Task.State.RUNNING && share > 0.02;
    SearchWatch.Best best = job.best;
    return new SearchStand(
        number,
        task.state(),
        share,
        told ? task.seconds() * (1 - share) / share : null,
        best,
        best == null || best.ahead() == null
            ? null
            : SearchWords.withInterval(best.ahead(), job.search.wish().wanted()),
        job.enough,
        job.failure);
  }

  /** What was found is to do. */
  SearchStand enough(long number) {
    find(number).enough = true;
    return stand(number);
  }

  /** Stops it as soon as may be; nothing of it is kept. */
  SearchStand cancel(long number) {
    room.stop(find(number).task());
    return stand(number);
  }

  private Job find(long number) {
    Job job = jobs.get(number);
    if (job == null) {
      throw NotFound.of("search on its way", number);
    }
    return job;
  }
}
