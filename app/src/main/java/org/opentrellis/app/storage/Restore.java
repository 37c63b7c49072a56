package org.opentrellis.app.storage;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.OptionalInt;
import java.util.function.Consumer;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import org.opentrellis.app.StartRefused;

/** Brings a backup back: looked at first, and what was there before is kept as a backup, too. */
final class Restore {
  private final DataFolder folder;
  private final Clock clock;
  private final Consumer<String> console;

  Restore(DataFolder folder, Clock clock, Consumer<String> console) {
    this.folder = folder;
    this.clock = clock;
    this.console = console;
  }

  /**
   * @throws StartRefused if it is no backup, or one of a later version; the folder is as it was
   */
  void carryOut(Path backup) throws IOException {
    try {
      unpack(backup);
      int schema = schema(backup);
      int ours = DatabaseFile.schemaOfThisVersion();
      if (schema > ours) {
        throw new StartRefused(
            "%s was made by a later version of Open Trellis (its schema is %d, this one's is %d). Nothing was changed; bring it back with that version."
                .formatted(backup, schema, ours));
      }
      if (Files.exists(folder.database())) {
        console.accept(
            "What was there before is kept as "
                + new Backups(folder, clock).ofClosedDatabase("before-restore"));
      }
      folder.putNextInPlace();
      console.accept("%s has been brought back into %s.".formatted(backup, folder.path()));
    } finally {
      Files.deleteIfExists(folder.nextDatabase());
    }
  }

  private void unpack(Path backup) throws IOException {
    try (InputStream in = Files.newInputStream(backup);
        ZipInputStream zip = new ZipInputStream(in)) {
      ZipEntry entry = zip.getNextEntry();
      if (entry == null || !entry.getName().equals(Backups.ENTRY)) {
        throw noBackup(backup, null);
      }
      Files.deleteIfExists(folder.nextDatabase());
      Files.copy(zip, folder.nextDatabase());
    } catch (ZipException broken) {
      throw noBackup(backup, broken);
    } catch (java.io.EOFException cut) {
      throw noBackup(backup, cut);
    }
  }

  private int schema(Path backup) {
    try {
      OptionalInt schema = new DatabaseFile(folder.nextDatabase()).schema();
      return schema.orElseThrow(() -> noBackup(backup, null));
    } catch (DatabaseFile.Unreadable broken) {
      throw noBackup(backup, broken);
    }
  }

  private static StartRefused noBackup(Path backup, Throwable cause) {
    return new StartRefused(
        "%s is not a whole backup of Open Trellis. Nothing was changed.".formatted(backup), cause);
  }
}
