package org.opentrellis.app.storage;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.function.Consumer;
import org.opentrellis.app.StartRefused;

/** What can be done with a data folder while nobody works with it. */
public final class ClosedFolder {
  private final DataFolder folder;

  /**
   * @param folder held by whoever calls
   */
  public ClosedFolder(DataFolder folder) {
    this.folder = folder;
  }

  /** Writes everything into a zip. */
  public void backup(Path file) throws IOException {
    Backups.zip(folder.database(), file);
  }

  /**
   * Brings a backup back; what was there before is kept as one.
   *
   * @param console told in sentences what happens
   * @throws StartRefused if it is no backup, or one of a later version; the folder is as it was
   */
  public void restore(Path backup, Clock clock, Consumer<String> console) throws IOException {
    if (Files.notExists(backup)) {
      throw new StartRefused("There is no file %s. Nothing was changed.".formatted(backup));
    }
    new Restore(folder, clock, console).carryOut(backup);
  }
}
