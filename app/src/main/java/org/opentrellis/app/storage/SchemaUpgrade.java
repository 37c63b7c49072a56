package org.opentrellis.app.storage;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.time.Clock;
import java.util.OptionalInt;
import java.util.function.Consumer;
import org.flywaydb.core.api.FlywayException;
import org.opentrellis.app.StartRefused;

/**
 * Brings a folder to the schema of this version. The work is done on a copy, which takes the place
 * of the database when it is whole; so an interrupted upgrade has not happened, and can be begun
 * again. (The database commits each change of a table at once, so on the file itself half an
 * upgrade would stay.)
 */
final class SchemaUpgrade {
  /** An upgrade writes a copy, a backup and what the changes of tables need beside them. */
  private static final int TIMES_ITS_SIZE = 3;

  private final DataFolder folder;
  private final Backups backups;
  private final Consumer<String> console;

  /**
   * @param console told in sentences what happens
   */
  SchemaUpgrade(DataFolder folder, Clock clock, Consumer<String> console) {
    this.folder = folder;
    this.backups = new Backups(folder, clock);
    this.console = console;
  }

  /**
   * @throws StartRefused if the folder holds something that this version cannot work with; it is
   *     left as it was
   */
  void carryOut() {
    try {
      Files.deleteIfExists(folder.nextDatabase());
      if (Files.exists(folder.database())) {
        upgrade(new DatabaseFile(folder.database()), DatabaseFile.schemaOfThisVersion());
      } else {
        makeNew();
        folder.putNextInPlace();
        console.accept("A new data folder has been made: " + folder.path());
      }
    } catch (IOException refused) {
      throw StorageTrouble.isFull(refused)
          ? noRoom(refused)
          : DataFolder.notWritable(folder.path(), refused);
    }
  }

  private void makeNew() {
    try {
      new DatabaseFile(folder.nextDatabase()).migrate();
    } catch (RuntimeException refused) {
      throw StorageTrouble.in(refused).isPresent() ? noRoom(refused) : refused;
    }
  }

  private void upgrade(DatabaseFile kept, int ours) throws IOException {
    int theirs = schemaOf(kept);
    if (theirs > ours) {
      throw new StartRefused(
          "The data folder %s belongs to a later version of Open Trellis (its schema is %d, this one's is %d). Start that version, or choose another folder with --data."
              .formatted(folder.path(), theirs, ours));
    }
    if (theirs == ours) {
      return;
    }
    requireRoom();
    console.accept(
        "Bringing the data folder from schema %d to %d, on a copy.".formatted(theirs, ours));
    Files.copy(folder.database(), folder.nextDatabase());
    try {
      new DatabaseFile(folder.nextDatabase()).migrate();
    } catch (FlywayException refused) {
      Files.deleteIfExists(folder.nextDatabase());
      if (StorageTrouble.in(refused).isPresent()) {
        throw noRoom(refused);
      }
      throw new StartRefused(
          "The data folder %s could not be brought from schema %d to %d, and is as it was. An earlier version may have been interrupted while it did so: bring back a backup with ./trellis restore, or choose another folder with --data."
              .formatted(folder.path(), theirs, ours),
          refused);
    }
    console.accept(
        "What was there before is kept as " + backups.ofClosedDatabase("before-schema-" + ours));
    folder.putNextInPlace();
    console.accept("The data folder has schema %d now.".formatted(ours));
  }

  private int schemaOf(DatabaseFile kept) {
    try {
      OptionalInt schema = kept.schema();
      if (schema.isPresent()) {
        return schema.getAsInt();
      }
    } catch (DatabaseFile.Unreadable broken) {
      throw unreadable(broken);
    }
    throw unreadable(null);
  }

  private StartRefused unreadable(DatabaseFile.Unreadable broken) {
    return new StartRefused(
        "The database in %s is damaged, or not one of Open Trellis; it was left as it is. Bring back a backup with ./trellis restore (those of the last week are in %s), or choose another folder with --data."
            .formatted(folder.path(), folder.backups()),
        broken);
  }

  private void requireRoom() throws IOException {
    long room = Files.getFileStore(folder.path()).getUsableSpace();
    if (room < TIMES_ITS_SIZE * Files.size(folder.database())) {
      throw noRoom(null);
    }
  }

  private StartRefused noRoom(Throwable cause) {
    try {
      Files.deleteIfExists(folder.nextDatabase());
    } catch (IOException stays) {
      throw new UncheckedIOException(stays);
    }
    return new StartRefused(
        "There is not enough room on the disk to make or upgrade the data folder %s; it is as it was. Make room, or choose another folder with --data."
            .formatted(folder.path()),
        cause);
  }
}
