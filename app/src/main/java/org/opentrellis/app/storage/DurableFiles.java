package org.opentrellis.app.storage;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;

/** Files that are there whole or not at all, also after the power has failed. */
final class DurableFiles {
  private DurableFiles() {}

  /** Forces what was written to a file onto the disk. */
  static void sync(Path file) throws IOException {
    try (FileChannel channel = FileChannel.open(file, StandardOpenOption.WRITE)) {
      channel.force(true);
    }
  }

  /** Puts a finished file in the place of another. */
  static void replace(Path made, Path target) throws IOException {
    sync(made);
    Files.move(made, target, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    syncFolder(target.toAbsolutePath().getParent());
  }

  /** A name is on the disk when its folder is. Windows cannot open folders, and need not. */
  private static void syncFolder(Path folder) throws IOException {
    if (!Files.getFileStore(folder).supportsFileAttributeView("posix")) {
      return;
    }
    try (FileChannel channel = FileChannel.open(folder, StandardOpenOption.READ)) {
      channel.force(true);
    }
  }
}
