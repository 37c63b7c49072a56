package org.opentrellis.core.dryrun;

import java.util.Collections;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;

/** Takes people through in several threads: each takes chunk after chunk, in order of people. */
final class Chunks {
  private static final int LARGEST = 16_384;
  private static final int EACH_THREAD = 8;
  private static final int TELL_EVERY = 1024;

  private Chunks() {}

  /** What one thread does with each person of its chunks. */
  interface Worker {
    void take(int person);

    /** All people of a chunk have been taken; chunks are numbered from 0 in order of people. */
    default void endsChunk(int chunk) {}
  }

  /**
   * Takes everybody through.
   *
   * @return the workers, one for each thread
   * @throws RunCancelled if the control says so
   */
  static <W extends Worker> List<W> run(int people, Effort effort, Supplier<W> workers) {
    return run(0, people, effort, workers);
  }

  /**
   * The same with some of them.
   *
   * @param first the first to go through
   * @param end the first not to
   */
  static <W extends Worker> List<W> run(int first, int end, Effort effort, Supplier<W> workers) {
    AtomicInteger next = new AtomicInteger();
    int people = end - first;
    int size = Math.max(1, Math.min(LARGEST, people / (EACH_THREAD * effort.threads()) + 1));
    return AtOnce.each(
        Collections.nCopies(effort.threads(), workers),
        effort.threads(),
        one -> work(one.get(), next, size, first, end, effort.control()));
  }

  private static <W extends Worker> W work(
      W worker, AtomicInteger next, int size, int first, int end, RunControl control) {
    int chunk = next.getAndIncrement();
    for (long from = first + (long) chunk * size; from < end; from = first + (long) chunk * size) {
      int to = (int) Math.min(end, from + size);
      for (int some = (int) from; some < to; some += TELL_EVERY) {
        int behind = Math.min(to, some + TELL_EVERY);
        for (int person = some; person < behind; person++) {
          worker.take(person);
        }
        control.reached(behind - some);
      }
      worker.endsChunk(chunk);
      chunk = next.getAndIncrement();
    }
    return worker;
  }
}
