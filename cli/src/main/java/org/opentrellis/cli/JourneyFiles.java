package org.opentrellis.cli;

import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.JourneyFile;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;

/** Journey files that are run together. */
final class JourneyFiles {
  private JourneyFiles() {}

  static String text(Path path) {
    try {
      return java.nio.file.Files.readString(path);
    } catch (NoSuchFileException missing) {
      throw refused(path, "There is no such file.");
    } catch (CharacterCodingException binary) {
      throw refused(path, "This is no text in UTF-8.");
    } catch (IOException unreadable) {
      throw refused(path, "This cannot be read: " + unreadable.getMessage() + ".");
    }
  }

  static TrellisCommand.BadFile refused(Path path, String sentence) {
    return new TrellisCommand.BadFile(
        path.toString(), new ProblemsFound(List.of(new Problem("bad-file", "", sentence))));
  }

  static List<JourneyFile> read(List<Path> paths) {
    List<JourneyFile> files = new ArrayList<>();
    for (Path path : paths) {
      try {
        files.add(Documents.readFile(text(path)));
      } catch (ProblemsFound found) {
        throw new TrellisCommand.BadFile(path.toString(), found);
      }
      String name = files.get(files.size() - 1).journey().name();
      if (files.stream().filter(file -> file.journey().name().equals(name)).count() > 1) {
        throw refused(path, "Another file has a journey \u201c%s\u201d too.".formatted(name));
      }
    }
    return files;
  }

  /** Who enters, as a file says it. */
  static CohortPlan cohort(Path path) {
    try {
      return Documents.readCohort(Json.tree(text(path)));
    } catch (ProblemsFound found) {
      throw new TrellisCommand.BadFile(path.toString(), found);
    }
  }
}
