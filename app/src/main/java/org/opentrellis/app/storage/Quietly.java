package org.opentrellis.app.storage;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.TimeUnit;

/**
 * Ends background work. A thread that reads or writes the database must not be interrupted: Java
 * closes a file under whoever is interrupted while using it, and the database with it.
 */
public final class Quietly {
  private static final int LONGEST_SECONDS = 20;

  private Quietly() {}

  /** Takes no more work, and waits until what is under way has ended. */
  public static void end(ExecutorService worker) {
    worker.shutdown();
    try {
      if (!worker.awaitTermination(LONGEST_SECONDS, TimeUnit.SECONDS)) {
        worker.shutdownNow();
      }
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
    }
  }
}
