package org.opentrellis.app.doors;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.SecureRandom;
import java.util.HexFormat;
import org.opentrellis.app.storage.DataFolder;
import org.opentrellis.core.format.Json;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * A note in the data folder, for its owner's eyes, that says where the application is to be found
 * and with which key: so the commands of {@code ./trellis} find the one that works on a folder. It
 * is written when everything is ready.
 */
@Component
class RunningNote {
  private static final Logger LOG = LoggerFactory.getLogger(RunningNote.class);

  private final Path file;
  private final String key = randomKey();

  RunningNote(DataFolder folder) {
    this.file = folder.runningNote();
  }

  /**
   * @param process the number by which the operating system knows it
   */
  private record Note(long process, int port, String address, String key) {}

  private static String randomKey() {
    byte[] bytes = new byte[16];
    new SecureRandom().nextBytes(bytes);
    return HexFormat.of().formatHex(bytes);
  }

  boolean isKey(String said) {
    return Keyholder.same(key, said);
  }

  @EventListener
  void ready(ApplicationReadyEvent ready) {
    if (!(ready.getApplicationContext() instanceof WebServerApplicationContext web)
        || web.getWebServer() == null) {
      return;
    }
    String address =
        ready.getApplicationContext().getEnvironment().getProperty("server.address", "127.0.0.1");
    Note note = new Note(ProcessHandle.current().pid(), web.getWebServer().getPort(), address, key);
    try {
      write(Json.write(note));
    } catch (IOException refused) {
      LOG.warn("{} could not be written; ./trellis backup will not find this one.", file);
    }
  }

  private void write(String note) throws IOException {
    Files.deleteIfExists(file);
    if (Files.getFileStore(file.getParent()).supportsFileAttributeView("posix")) {
      Files.createFile(
          file, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
    }
    Files.writeString(file, note);
  }

  @PreDestroy
  void close() {
    try {
      Files.deleteIfExists(file);
    } catch (IOException stays) {
      throw new UncheckedIOException(stays);
    }
  }
}
