package org.opentrellis.core.sentence;

import com.github.difflib.DiffUtils;
import com.github.difflib.patch.AbstractDelta;
import java.util.ArrayList;
import java.util.List;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.Part;

/** A whole message as plain text, much as Markdown, to be read and compared. */
public final class ManuscriptText {
  /** Above the plain text, if it was written by hand. */
  public static final String PLAIN = "plain text";

  private final PartWords words;
  private final List<String> lines = new ArrayList<>();

  private ManuscriptText(Catalogue catalogue) {
    this.words = new PartWords(catalogue);
  }

  /**
   * A line that differs.
   *
   * @param added whether it is only in the later one; else only in the earlier
   */
  public record Change(boolean added, String line) {}

  /**
   * @param catalogue with the segments that passages ask about
   */
  public static List<String> of(Manuscript manuscript, Catalogue catalogue) {
    ManuscriptText text = new ManuscriptText(catalogue);
    switch (manuscript) {
      case Manuscript.Email email -> text.email(email);
      case Manuscript.Text some -> {
        text.lines.add(some.words().typed());
        if (some.voucher()) {
          text.lines.add("gives something off");
        }
      }
    }
    return List.copyOf(text.lines);
  }

  /** What is different, in the order of reading. */
  public static List<Change> changes(Manuscript before, Manuscript after, Catalogue catalogue) {
    List<Change> changes = new ArrayList<>();
    for (AbstractDelta<String> delta :
        DiffUtils.diff(of(before, catalogue), of(after, catalogue)).getDeltas()) {
      delta.getSource().getLines().forEach(line -> changes.add(new Change(false, line)));
      delta.getTarget().getLines().forEach(line -> changes.add(new Change(true, line)));
    }
    return changes;
  }

  private void email(Manuscript.Email email) {
    email.sender().ifPresent(sender -> lines.add("From: " + sender));
    lines.add("Subject: " + email.subject().typed());
    if (!email.preview().isBlank()) {
      lines.add("Preview text: " + email.preview().typed());
    }
    email.style().said().forEach(one -> lines.add("Style: " + one));
    parts(email.parts(), "");
    email
        .plain()
        .ifPresent(
            plain -> {
              lines.add(PLAIN);
              part(plain.part(), "  ");
            });
  }

  /** An empty line parts two texts that follow each other. */
  private void parts(List<Part> parts, String indent) {
    boolean text = false;
    for (Part part : parts) {
      boolean isText = part instanceof Part.Prose;
      if (text && isText) {
        lines.add("");
      }
      part(part, indent);
      text = isText;
    }
  }

  private void part(Part part, String indent) {
    words.say(part).lines().forEach(line -> lines.add(indent + line));
    String deeper = indent + "  ";
    if (part instanceof Part.Columns columns) {
      for (Part.Column column : columns.columns()) {
        lines.add(indent + "column");
        parts(column.parts(), deeper);
      }
    }
    if (part instanceof Part.Passage passage) {
      parts(passage.parts(), deeper);
      if (!passage.otherwise().isEmpty()) {
        lines.add(indent + "otherwise");
        parts(passage.otherwise(), deeper);
      }
    }
  }
}
