package org.opentrellis.app.computing;

import java.util.Map;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.atomic.AtomicLong;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Incident;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.storage.StorageTrouble;
import org.opentrellis.app.storage.StorageWatch;
import org.opentrellis.core.elsewhere.ClusterTrouble;

/**
 * Gives out numbers by which computations of a kind are asked about and stopped while they are on
 * their way.
 *
 * @param <T> what they come to
 * @param <A> what else is known about each
 */
public final class Desk<T, A> {
  /** Computations that are over are told of for so many more. */
  private static final int REMEMBERED = 50;

  private final String kind;
  private final ComputingRoom room;
  private final StorageWatch storage;
  private final AtomicLong numbers = new AtomicLong();
  private final Map<Long, OnDesk<T, A>> all = new ConcurrentSkipListMap<>();

  /**
   * @param kind what they are called, such as "run on its way"
   */
  public Desk(String kind, ComputingRoom room, StorageWatch storage) {
    this.kind = kind;
    this.room = room;
    this.storage = storage;
  }

  /** A computation on its way; why it failed is told once, and kept. */
  public static final class OnDesk<T, A> {
    private final Task<T> task;
    private final A about;
    private volatile @Nullable String failure;

    private OnDesk(Task<T> task, A about) {
      this.task = task;
      this.about = about;
    }

    public Task<T> task() {
      return task;
    }

    public A about() {
      return about;
    }

    /** Why it failed, as a sentence; null unless it did. */
    public @Nullable String failure() {
      return failure;
    }
  }

  /**
   * @return its number
   */
  public long put(Task<T> task, A about) {
    OnDesk<T, A> one = new OnDesk<>(task, about);
    task.result().exceptionally(failed -> note(failed, one));
    long number = numbers.incrementAndGet();
    all.put(number, one);
    forget();
    return number;
  }

  private @Nullable T note(Throwable failed, OnDesk<T, A> one) {
    if (one.task.state() == Task.State.FAILED) {
      one.failure =
          storage
              .failed(failed)
              .map(StorageTrouble.Kind::sentence)
              .orElseGet(() -> sentence(failed));
    }
    return null;
  }

  private static String sentence(Throwable failed) {
    return failed instanceof ClusterTrouble trouble
        ? trouble.getMessage()
        : Incident.noted(failed).sentence();
  }

  /** The oldest that are over go; what is under way can always be asked about and stopped. */
  private void forget() {
    var over =
        all.entrySet().stream()
            .filter(entry -> entry.getValue().task.state().isOver())
            .map(Map.Entry::getKey)
            .toList();
    over.subList(0, Math.max(0, over.size() - REMEMBERED)).forEach(all::remove);
  }

  /**
   * @throws NotFound if there is none, or it was over long ago
   */
  public OnDesk<T, A> find(long number) {
    OnDesk<T, A> one = all.get(number);
    if (one == null) {
      throw NotFound.of(kind, number);
    }
    return one;
  }

  /** Stops it as soon as may be; one that is over stays as it is. */
  public void cancel(long number) {
    room.stop(find(number).task);
  }
}
