package org.opentrellis.app.storage;

import com.zaxxer.hikari.HikariDataSource;
import com.zaxxer.hikari.HikariPoolMXBean;
import java.io.IOException;
import java.nio.file.Files;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.TrellisSettings;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Knows whether the disk takes what is written. After trouble the database is opened anew as it
 * last was on the disk, so that reading goes on, and writing again as soon as it can.
 */
@Component
public class StorageWatch {
  private static final Logger LOG = LoggerFactory.getLogger(StorageWatch.class);

  private final DataFolder folder;
  private final HikariDataSource pool;

  /**
   * Less is refused beforehand: a commit that the disk takes in part costs everybody a reopening.
   */
  private final long leastRoomBytes;

  private volatile StorageTrouble.@Nullable Kind trouble;

  StorageWatch(DataFolder folder, HikariDataSource pool, TrellisSettings settings) {
    this.folder = folder;
    this.leastRoomBytes = settings.leastRoom().toBytes();
    this.pool = pool;
  }

  /**
   * @throws StorageTrouble if so little room is left that a change might not be kept
   */
  void requireRoom() {
    if (!hasRoom()) {
      trouble = StorageTrouble.Kind.DISK_FULL;
      throw new StorageTrouble(StorageTrouble.Kind.DISK_FULL);
    }
  }

  private boolean hasRoom() {
    try {
      return Files.getFileStore(folder.path()).getUsableSpace() >= leastRoomBytes;
    } catch (IOException unknown) {
      return true;
    }
  }

  /**
   * Looks at a failure: if the disk is to blame, the database is opened anew.
   *
   * @return what the matter is with the disk, or nothing if it is not to blame
   */
  public Optional<StorageTrouble.Kind> failed(Throwable failure) {
    Optional<StorageTrouble.Kind> kind = StorageTrouble.in(failure);
    kind.ifPresent(
        found -> {
          if (found != StorageTrouble.Kind.REOPENING && trouble != found) {
            LOG.warn(found.sentence());
            trouble = found;
          }
          openAnew();
        });
    return kind;
  }

  /**
   * As {@link #failed}, of somebody who only reads: what is written meanwhile may have closed the
   * database under the reader, who has nothing to make room for and is let in again at once.
   */
  public Optional<StorageTrouble.Kind> failedReading(Throwable failure) {
    return failed(failure)
        .map(kind -> StorageTrouble.ofDatabase(failure) ? StorageTrouble.Kind.REOPENING : kind);
  }

  private void openAnew() {
    HikariPoolMXBean connections = pool.getHikariPoolMXBean();
    if (connections != null) {
      connections.softEvictConnections();
    }
  }

  void kept() {
    if (trouble != null) {
      LOG.info("The disk takes what is written again.");
      trouble = null;
    }
  }

  /** What the matter is now; looked at anew when there was something. */
  Optional<StorageTrouble.Kind> trouble() {
    if (!hasRoom()) {
      return Optional.of(StorageTrouble.Kind.DISK_FULL);
    }
    if (trouble == null) {
      return Optional.empty();
    }
    Optional<StorageTrouble.Kind> still = new WriteTest(folder).again();
    if (still.isEmpty()) {
      openAnew();
      kept();
    }
    return still;
  }
}
