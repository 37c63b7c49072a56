package org.opentrellis.app.storage;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/**
 * The backups in a data folder: a zip with the database's file each. They are there whole or not at
 * all: one that is being made has another name.
 */
final class Backups {
  /** The one file in a backup; the database itself names it so. */
  static final String ENTRY = "trellis.mv.db";

  static final int NIGHTLY_KEPT = 7;

  private static final String NIGHTLY = "nightly-";
  private static final DateTimeFormatter MOMENT = DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss");

  private final DataFolder folder;
  private final Clock clock;

  Backups(DataFolder folder, Clock clock) {
    this.folder = folder;
    this.clock = clock;
  }

  /** Fills a file with a backup. */
  @FunctionalInterface
  interface Maker {
    void make(Path file) throws IOException;
  }

  /**
   * Keeps the database as it is, while nobody works with it.
   *
   * @param why the beginning of its name
   */
  Path ofClosedDatabase(String why) throws IOException {
    String name = why + "-" + LocalDateTime.now(here()).format(MOMENT) + ".zip";
    return keep(name, file -> zip(folder.database(), file));
  }

  /** Makes a backup of a closed database. */
  static void zip(Path database, Path file) throws IOException {
    try (OutputStream out = Files.newOutputStream(file);
        ZipOutputStream zip = new ZipOutputStream(out)) {
      zip.putNextEntry(new ZipEntry(ENTRY));
      Files.copy(database, zip);
      zip.closeEntry();
    }
  }

  /**
   * Keeps one for today, if there is none yet, and lets those go that are older than a week.
   *
   * @return whether one was made
   */
  boolean keepNightly(Maker maker) throws IOException {
    String name = NIGHTLY + LocalDate.now(here()) + ".zip";
    boolean missing = Files.notExists(folder.backups().resolve(name));
    if (missing) {
      keep(name, maker);
    }
    List<Path> nightly = named(NIGHTLY);
    for (Path old : nightly.subList(0, Math.max(0, nightly.size() - NIGHTLY_KEPT))) {
      Files.delete(old);
    }
    return missing;
  }

  /** Those whose names begin so, the oldest first. */
  List<Path> named(String beginning) throws IOException {
    if (Files.notExists(folder.backups())) {
      return List.of();
    }
    try (Stream<Path> all = Files.list(folder.backups())) {
      return all.filter(file -> file.getFileName().toString().startsWith(beginning))
          .filter(file -> file.getFileName().toString().endsWith(".zip"))
          .sorted(Comparator.comparing(file -> file.getFileName().toString()))
          .toList();
    }
  }

  private Path keep(String name, Maker maker) throws IOException {
    Files.createDirectories(folder.backups());
    Path unfinished = folder.backups().resolve(name + ".part");
    try {
      Files.deleteIfExists(unfinished);
      maker.make(unfinished);
      Path kept = folder.backups().resolve(name);
      DurableFiles.replace(unfinished, kept);
      return kept;
    } finally {
      Files.deleteIfExists(unfinished);
    }
  }

  private Clock here() {
    return clock.withZone(ZoneId.systemDefault());
  }
}
