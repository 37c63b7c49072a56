package org.opentrellis.app.intake;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;

/** Reads a table piece by piece; while one is brought in, the next is read. */
final class ReadAhead implements AutoCloseable {
  private final TableReading reading;
  private final int most;
  private final Executor reader;
  private CompletableFuture<TableReading.Piece> next;
  private long last;

  /**
   * @param from the row behind which it begins
   */
  ReadAhead(TableReading reading, long from, int most, Executor reader) {
    this.reading = reading;
    this.most = most;
    this.reader = reader;
    this.last = from;
    this.next =
        CompletableFuture.supplyAsync(
            () -> {
              reading.skipTo(from);
              return reading.next(most);
            },
            reader);
  }

  /** The number of the last row that was handed out. */
  long last() {
    return last;
  }

  /** The next rows; none at the end. */
  TableReading.Piece next() {
    TableReading.Piece piece = next.join();
    last = piece.last();
    next = CompletableFuture.supplyAsync(() -> reading.next(most), reader);
    return piece;
  }

  @Override
  public void close() {
    next.whenComplete((piece, failed) -> reading.close());
  }
}
