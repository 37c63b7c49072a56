package org.opentrellis.app.storage;

import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;

/**
 * A disk of a few megabytes, in memory. Only root may mount one; without it the test is skipped.
 */
final class SmallDisk implements AutoCloseable {
  private static final int PIECE = 65_536;

  private final Path path;

  private SmallDisk(Path path) {
    this.path = path;
  }

  static SmallDisk ofMegabytes(int size) throws IOException {
    Path path = Files.createTempDirectory("trellis-small-disk");
    boolean mounted = run("mount", "-t", "tmpfs", "-o", "size=" + size + "m", "tmpfs", path) == 0;
    assumeTrue(mounted, "this machine lets no small disk be mounted");
    return new SmallDisk(path);
  }

  Path path() {
    return path;
  }

  /** Leaves so much room and no more, whatever others take of it meanwhile. */
  void fillUpTo(long bytesLeft) throws IOException {
    Path others = path.resolve("other-peoples-files");
    try (OutputStream file =
        Files.newOutputStream(others, StandardOpenOption.CREATE, StandardOpenOption.APPEND)) {
      for (long more = roomAbove(bytesLeft); more > 0; more = roomAbove(bytesLeft)) {
        file.write(new byte[(int) Math.min(more, PIECE)]);
      }
    } catch (IOException full) {
      if (roomAbove(bytesLeft) > 0) {
        throw full;
      }
    }
  }

  private long roomAbove(long bytesLeft) throws IOException {
    return Files.getFileStore(path).getUsableSpace() - bytesLeft;
  }

  void makeRoom() throws IOException {
    Files.delete(path.resolve("other-peoples-files"));
  }

  /** Lets nothing be written any more; nobody may have a file open. */
  void readOnly() throws IOException {
    if (run("mount", "-o", "remount,ro", path) != 0) {
      throw new IOException("the small disk could not be mounted anew");
    }
  }

  private static int run(Object... command) throws IOException {
    try {
      String[] words =
          java.util.Arrays.stream(command).map(Object::toString).toArray(String[]::new);
      return new ProcessBuilder(words).redirectErrorStream(true).start().waitFor();
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      throw new IOException(stopped);
    }
  }

  @Override
  public void close() throws IOException {
    run("umount", "-l", path);
    Files.deleteIfExists(path);
  }
}
