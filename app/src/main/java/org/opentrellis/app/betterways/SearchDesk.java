package org.opentrellis.app.betterways;

import java.util.OptionalDouble;
import java.util.concurrent.atomic.LongAdder;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.computing.ComputingRoom;
import org.opentrellis.app.computing.Desk;
import org.opentrellis.app.computing.Lane;
import org.opentrellis.app.computing.Task;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.http.Refusal;
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
  /** Less of the work than this says nothing about how long the rest takes. */
  private static final double BEGINNING = 0.02;

  private final ComputingRoom room;
  private final Desk<BetterWays, Watching> desk;

  /** Nanoseconds that a step of one person took in the last search; null before any. */
  private volatile @Nullable Double pace;

  SearchDesk(ComputingRoom room, StorageWatch storage) {
    this.room = room;
    this.desk = new Desk<>("search on its way", room, storage);
  }

  /** Sees how far a search is. Safe for many threads. */
  private static final class Watching implements SearchWatch {
    private final SearchPlan search;
    private final long personRuns;
    private final LongAdder through = new LongAdder();
    private volatile RunControl control = RunControl.NONE;
    private volatile boolean enough;
    private volatile @Nullable Best best;

    Watching(SearchPlan search) {
      this.search = search;
      this.personRuns = search.size().personRuns();
    }

    @Override
    public void reached(int people) {
      through.add(people);
      control.reached(people);
    }

    /** Nanoseconds that a step of one person took, if all of them took so many. */
    double pace(long nanos) {
      return (double) nanos / Math.max(1, through.sum()) / search.steps();
    }

    @Override
    public boolean enough() {
      return enough;
    }

    @Override
    public void best(Best other) {
      best = other;
    }
  }

  /**
   * Begins a search, or queues it.
   *
   * @param keep what is done with its outcome
   * @throws Refusal if too many are waiting
   */
  SearchStand begin(SearchPlan search, Consumer<BetterWays> keep) {
    Watching watching = new Watching(search);
    Task<BetterWays> task =
        room.begin(
            Lane.USUAL,
            effort -> {
              watching.control = effort.control();
              long begun = System.nanoTime();
              BetterWays found = Search.of(search, watching);
              pace = watching.pace(System.nanoTime() - begun);
              keep.accept(found);
              return found;
            });
    return stand(desk.put(task, watching));
  }

  /**
   * How long a search would take in seconds, about, by the last one; nothing before any.
   *
   * @param personRuns how often one person goes through the journey for it
   */
  OptionalDouble seconds(SearchPlan search, long personRuns) {
    Double last = pace;
    return last == null
        ? OptionalDouble.empty()
        : OptionalDouble.of(personRuns * search.steps() * last / 1e9);
  }

  /**
   * @throws NotFound if there is none, or it was over long ago
   */
  SearchStand stand(long number) {
    var one = desk.find(number);
    Task<BetterWays> task = one.task();
    Watching watching = one.about();
    boolean done = task.state() == Task.State.DONE;
    double share = done ? 1 : Math.min(0.99, (double) task.through() / watching.personRuns);
    boolean told = task.state() == Task.State.RUNNING && share > BEGINNING;
    SearchWatch.Best best = watching.best;
    return new SearchStand(
        number,
        task.state(),
        share,
        told ? task.seconds() * (1 - share) / share : null,
        best,
        best == null || best.ahead() == null
            ? null
            : SearchWords.withInterval(best.ahead(), watching.search.wish().wanted()),
        watching.enough,
        one.failure());
  }

  /** What was found is to do. */
  SearchStand enough(long number) {
    desk.find(number).about().enough = true;
    return stand(number);
  }

  /** Stops it as soon as may be; nothing of it is kept. */
  SearchStand cancel(long number) {
    desk.cancel(number);
    return stand(number);
  }
}
