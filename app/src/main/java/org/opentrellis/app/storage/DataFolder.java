package org.opentrellis.app.storage;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.StartRefused;

/**
 * The folder with all that is kept. Whoever works on it holds its lock, which the operating system
 * takes back however the process ends; so two processes never write to one folder.
 */
public final class DataFolder implements AutoCloseable {
  private static final String DATABASE = "trellis";
  private static final String NEXT_DATABASE = "trellis-next";
  private static final String SUFFIX = ".mv.db";

  private final Path path;
  private final FileChannel channel;
  private final FileLock lock;

  private DataFolder(Path path, FileChannel channel, FileLock lock) {
    this.path = path;
    this.channel = channel;
    this.lock = lock;
  }

  /**
   * Makes the folder if it is not there, and locks it.
   *
   * @throws StartRefused if somebody else works on it, or it cannot be written
   */
  public static DataFolder open(Path path) {
    return openIfFree(path)
        .orElseThrow(
            () ->
                new StartRefused(
                    "The data folder %s is in use by another Open Trellis. Stop that one, or choose another folder with --data."
                        .formatted(path)));
  }

  /**
   * The same, but nothing if somebody else works on it.
   *
   * @throws StartRefused if it cannot be written
   */
  public static Optional<DataFolder> openIfFree(Path path) {
    try {
      Files.createDirectories(path);
      FileChannel channel =
          FileChannel.open(
              path.resolve("trellis.lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
      @Nullable FileLock lock = tryLock(channel);
      if (lock == null) {
        channel.close();
        return Optional.empty();
      }
      return Optional.of(new DataFolder(path, channel, lock));
    } catch (IOException refused) {
      throw notWritable(path, refused);
    }
  }

  private static @Nullable FileLock tryLock(FileChannel channel) throws IOException {
    try {
      return channel.tryLock();
    } catch (OverlappingFileLockException heldByThisProcess) {
      return null;
    }
  }

  static StartRefused notWritable(Path path, IOException refused) {
    return new StartRefused(
        "The data folder %s cannot be written (%s). Make it writable, or choose another with --data."
            .formatted(path, StorageTrouble.words(refused)));
  }

  public Path path() {
    return path;
  }

  public boolean holdsData() {
    return Files.exists(database());
  }

  /** The database's file. */
  Path database() {
    return path.resolve(DATABASE + SUFFIX);
  }

  /** A database that is being made, to take the place of the other when it is whole. */
  Path nextDatabase() {
    return path.resolve(NEXT_DATABASE + SUFFIX);
  }

  Path backups() {
    return path.resolve("backups");
  }

  /** Says who is running on the folder, to those who may read it. */
  public Path runningNote() {
    return path.resolve("running.json");
  }

  /** Puts what has been made in the place of the database; after a crash it is one or the other. */
  void putNextInPlace() throws IOException {
    DurableFiles.replace(nextDatabase(), database());
  }

  /**
   * Removes the database; backups stay.
   *
   * @throws StartRefused if it cannot be removed
   */
  void empty() {
    try {
      Files.deleteIfExists(database());
    } catch (IOException refused) {
      throw notWritable(path, refused);
    }
  }

  @Override
  public void close() {
    try {
      lock.release();
      channel.close();
    } catch (IOException gone) {
      // The lock goes with the process at the latest.
    }
  }
}
