package org.opentrellis.app.storage;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Optional;
import org.opentrellis.app.StartRefused;

/** Finds out whether a folder can be written by writing to it. */
final class WriteTest {
  private static final int BYTES = 4096;

  private final DataFolder folder;

  WriteTest(DataFolder folder) {
    this.folder = folder;
  }

  /**
   * @return that the disk is full, if it is: what is kept can still be read
   * @throws StartRefused if the folder cannot be written for another reason
   */
  Optional<StorageTrouble.Kind> carryOut() {
    try {
      write();
      return Optional.empty();
    } catch (IOException refused) {
      if (StorageTrouble.isFull(refused) && Files.exists(folder.database())) {
        return Optional.of(StorageTrouble.Kind.DISK_FULL);
      }
      throw DataFolder.notWritable(folder.path(), refused);
    }
  }

  /** Whether it can be written now, and if not, why. */
  Optional<StorageTrouble.Kind> again() {
    try {
      write();
      return Optional.empty();
    } catch (IOException refused) {
      return Optional.of(
          StorageTrouble.isFull(refused)
              ? StorageTrouble.Kind.DISK_FULL
              : StorageTrouble.Kind.NOT_WRITABLE);
    }
  }

  private void write() throws IOException {
    Path probe = folder.path().resolve("write-test");
    try (FileChannel channel =
        FileChannel.open(
            probe,
            StandardOpenOption.CREATE,
            StandardOpenOption.WRITE,
            StandardOpenOption.TRUNCATE_EXISTING)) {
      channel.write(ByteBuffer.allocate(BYTES));
      channel.force(true);
    } finally {
      Files.deleteIfExists(probe);
    }
  }
}
