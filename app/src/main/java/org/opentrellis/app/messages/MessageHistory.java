package org.opentrellis.app.messages;

import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.sentence.ManuscriptText;

/** Tells the saves of a message by what each changed. */
final class MessageHistory {
  /** A save. */
  record Saved(int version, OffsetDateTime at, Written written) {}

  private MessageHistory() {}

  /**
   * @param saves the newest first
   */
  static List<MessageVersionLine> of(List<Saved> saves) {
    List<MessageVersionLine> lines = new ArrayList<>();
    for (int i = 0; i < saves.size(); i++) {
      Saved save = saves.get(i);
      List<MessageVersionLine.MessageChange> changes =
          i + 1 == saves.size() ? List.of() : changes(saves.get(i + 1).written(), save.written());
      lines.add(
          new MessageVersionLine(
              save.version(), save.written().name(), save.at().toEpochSecond(), changes));
    }
    return lines;
  }

  private static List<MessageVersionLine.MessageChange> changes(Written before, Written after) {
    List<MessageVersionLine.MessageChange> changes = new ArrayList<>();
    if (!before.name().equals(after.name())) {
      changes.add(new MessageVersionLine.MessageChange(false, "Name: " + before.name()));
      changes.add(new MessageVersionLine.MessageChange(true, "Name: " + after.name()));
    }
    changes.addAll(changes(before.manuscript(), after.manuscript()));
    return changes;
  }

  static List<MessageVersionLine.MessageChange> changes(Manuscript before, Manuscript after) {
    return ManuscriptText.changes(before, after, Catalogue.EMPTY).stream()
        .map(one -> new MessageVersionLine.MessageChange(one.added(), one.line()))
        .toList();
  }
}
