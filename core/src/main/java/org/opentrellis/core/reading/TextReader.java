package org.opentrellis.core.reading;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.opentrellis.core.journey.Step;

/**
 * Reads a text of one sentence or several into a draft: a line that was typed, a plan that was
 * pasted, a run sheet that was written out. Where lines are indented, one that stands further left
 * goes on below the last line at its place.
 */
final class TextReader {
  private static final Pattern ARM = Pattern.compile("\\*arm ([^*\\n]*)\\*:[^\\n]*");
  private static final String PURPOSE = "purpose:";

  /**
   * @param indent of a line
   * @param row what it added
   */
  private record Left(int indent, String row) {}

  private final String given;
  private final Cursor cursor;
  private final Draft draft;
  private final Deque<Left> lines = new ArrayDeque<>();
  private int indent = -1;

  TextReader(Cursor cursor, Draft draft) {
    this.given = cursor.given().replace('\r', '\n').replace('\t', ' ');
    this.cursor = cursor;
    this.draft = draft;
  }

  void read() {
    cursor.sentenceEnd();
    do {
      sentence();
      if (!cursor.atEnd() && !cursor.sentenceEnd()) {
        throw cursor.lost();
      }
    } while (!cursor.atEnd());
  }

  private void sentence() {
    int at = cursor.at();
    boolean first =
        given.substring(lineStart(at), at).chars().noneMatch(Character::isLetterOrDigit);
    if (first) {
      place(Layout.indent(given, at));
    }
    Matcher arm = cursor.matches(ARM);
    if (arm != null) {
      into(arm.group(1));
    } else if (cursor.says(PURPOSE)) {
      cursor.rest();
    } else {
      String before = draft.outer();
      new SentenceReader(cursor, draft).read();
      if (!draft.outer().equals(before) || lines.isEmpty()) {
        lines.push(new Left(Math.max(indent, 0), draft.outer()));
      }
    }
  }

  private int lineStart(int at) {
    return given.lastIndexOf('\n', Math.max(0, at - 1)) + 1;
  }

  /** A line further left goes on below what stands there; one at the same place goes on as ever. */
  private void place(int now) {
    if (indent >= 0 && now < indent) {
      while (!lines.isEmpty() && lines.peek().indent() > now) {
        lines.pop();
      }
      if (!lines.isEmpty()) {
        draft.goBelow(lines.peek().row());
      }
    }
    indent = now;
  }

  /** An arm of the step that stands around it, as the run sheet labels it. */
  private void into(String label) {
    Step fork =
        draft.around().stream()
            .map(Draft.Around::step)
            .findFirst()
            .orElseThrow(() -> cursor.lost());
    String letter = label.strip().toUpperCase(Locale.ROOT);
    int way = Math.max(0, letter.charAt(letter.length() - 1) - 'A');
    draft.goInto(fork, Math.min(way, fork.ways().size() - 1));
  }
}
