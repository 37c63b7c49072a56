package org.opentrellis.torture;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.IntStream;
import java.util.zip.ZipInputStream;
import org.jspecify.annotations.Nullable;

/**
 * A data folder as an earlier version of the application left it, made with that version's demo.
 *
 * @param schema the version of its schema
 */
public record OldFolder(int schema) {
  /** The newest schema of which a folder is kept here. */
  public static final int NEWEST = 20;

  private static final List<String> JOURNEYS =
      List.of(
          "First frames",
          "First frames, one try",
          "Through the season",
          "Left on the bench",
          "Membership turns over",
          "Wake the quiet ones",
          "What goes with it",
          "Thirty days of bees");

  /** One of each. */
  public static List<OldFolder> all() {
    return IntStream.rangeClosed(1, NEWEST).mapToObj(OldFolder::new).toList();
  }

  /** The first, one on the way and the last: for what takes long with each. */
  public static List<OldFolder> some() {
    return IntStream.of(1, NEWEST / 2, NEWEST).mapToObj(OldFolder::new).toList();
  }

  /** The folder as a backup. */
  public InputStream zip() throws IOException {
    @Nullable InputStream zip =
        OldFolder.class.getResourceAsStream("/folders/schema-" + schema + ".zip");
    if (zip == null) {
      throw new IOException("no folder of schema " + schema + " is kept");
    }
    return zip;
  }

  /** Lays it where it can be worked on. */
  public void unpack(Path folder) throws IOException {
    Files.createDirectories(folder);
    try (ZipInputStream zip = new ZipInputStream(zip())) {
      zip.getNextEntry();
      Files.copy(zip, folder.resolve("trellis.mv.db"));
    }
  }

  /** What its journeys are called. */
  public List<String> journeys() {
    return schema == 1 ? JOURNEYS.subList(0, 3) : JOURNEYS;
  }

  @Override
  public String toString() {
    return "a folder of schema " + schema;
  }
}
