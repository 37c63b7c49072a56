package org.opentrellis.core.reading;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.opentrellis.core.journey.PartId;
import org.opentrellis.core.message.Block;
import org.opentrellis.core.message.ByHand;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.OneLine;
import org.opentrellis.core.message.Part;
import org.opentrellis.core.message.StyleChange;
import org.opentrellis.core.problem.Problems;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.sentence.ManuscriptText;

/**
 * Reads an email that is written down as plain text, as {@code sentence.ManuscriptText} prints it.
 *
 * <p>Its head comes first: {@code Subject: …}, {@code Preview text: …}, {@code From: …}. Every
 * other line is a part as it is typed; lines of text that follow each other are one part, an empty
 * line parts them. What is inside of columns and passages stands two spaces further in. A line that
 * begins with {@code >} gives the reason for the part above.
 */
public final class ManuscriptReader {
  private static final String SUBJECT = "Subject:";
  private static final String PREVIEW = "Preview text:";
  private static final String FROM = "From:";
  private static final String REASON = ">";

  private final PartReader parts;
  private final Problems problems = new Problems();
  private final Map<PartId, String> reasons = new LinkedHashMap<>();
  private final List<Row> rows = new ArrayList<>();
  private int ids;

  /** A line of the text with how far in it stands; blank lines too. */
  private record Row(int number, int indent, String text) {}

  /**
   * @param reasons by part, as far as they are given
   */
  public record Read(Manuscript.Email email, Map<PartId, String> reasons) {}

  private ManuscriptReader(PartReader parts) {
    this.parts = parts;
  }

  /**
   * @param parts reads the single lines
   * @throws ProblemsFound with every line that is not understood, the place being {@code /line/7}
   */
  public static Read read(String text, PartReader parts) {
    return new ManuscriptReader(parts).whole(text);
  }

  private Read whole(String text) {
    OneLine subject = OneLine.EMPTY;
    OneLine preview = OneLine.EMPTY;
    Optional<String> sender = Optional.empty();
    int number = 0;
    for (String line : text.lines().toList()) {
      number++;
      String said = line.strip();
      if (line.startsWith(SUBJECT)) {
        subject = line(said.substring(SUBJECT.length()), number);
      } else if (line.startsWith(PREVIEW)) {
        preview = line(said.substring(PREVIEW.length()), number);
      } else if (line.startsWith(FROM)) {
        sender = Optional.of(said.substring(FROM.length()).strip());
      } else {
        rows.add(new Row(number, (line.length() - line.stripLeading().length()) / 2, said));
      }
    }
    List<Part> read = list(0);
    Optional<ByHand> plain = plain();
    if (!rows.isEmpty()) {
      problem(rows.getFirst(), "This line stands further in than anything it could belong to.");
    }
    problems.throwIfAny();
    return new Read(
        new Manuscript.Email(subject, preview, sender, read, plain, StyleChange.NONE), reasons);
  }

  /** The plain text below its head, if it was written by hand. */
  private Optional<ByHand> plain() {
    if (rows.isEmpty() || !rows.getFirst().text().equals(ManuscriptText.PLAIN)) {
      return Optional.empty();
    }
    Row head = rows.removeFirst();
    List<Part> written = list(head.indent() + 1);
    if (written.size() == 1 && written.getFirst() instanceof Part.Prose prose) {
      return Optional.of(new ByHand(prose.blocks()));
    }
    problem(head, "Below it stands the plain text, two spaces further in, and nothing else.");
    return Optional.empty();
  }

  private OneLine line(String text, int number) {
    try {
      return parts.prose().line(text.strip(), 0);
    } catch (NotUnderstood why) {
      problems.add(Refused.BAD_VALUE, "/line/" + number, why.sentence());
      return OneLine.EMPTY;
    }
  }

  private void problem(Row row, String sentence) {
    problems.add(Refused.BAD_VALUE, "/line/" + row.number(), sentence);
  }

  /** The parts that stand so far in, up to the first line that stands less far. */
  private List<Part> list(int indent) {
    List<Part> list = new ArrayList<>();
    boolean goesOn = false;
    while (!rows.isEmpty()) {
      Row row = rows.getFirst();
      if (row.text().isEmpty()) {
        rows.removeFirst();
        goesOn = false;
        continue;
      }
      if (row.indent() != indent || isHead(row)) {
        return list;
      }
      rows.removeFirst();
      if (row.text().startsWith(REASON)) {
        reason(row, list);
      } else {
        goesOn = add(row, list, goesOn);
      }
    }
    return list;
  }

  private static boolean isHead(Row row) {
    return row.text().equals("column")
        || row.text().equals("otherwise")
        || row.text().equals(ManuscriptText.PLAIN);
  }

  private void reason(Row row, List<Part> list) {
    if (list.isEmpty()) {
      problem(row, "A reason stands below the part that it is for.");
    } else {
      String said = row.text().substring(REASON.length()).strip();
      reasons.merge(list.getLast().id(), said, (one, more) -> one + " " + more);
    }
  }

  /** Whether the next line of text belongs to the same part. */
  private boolean add(Row row, List<Part> list, boolean goesOn) {
    Optional<Part> read = part(row);
    if (read.isEmpty()) {
      return false;
    }
    switch (read.get()) {
      case Part.Columns columns -> list.add(columns(columns, row));
      case Part.Passage passage -> list.add(passage(passage, row));
      case Part.Prose prose -> {
        if (goesOn && list.getLast() instanceof Part.Prose above) {
          list.set(list.size() - 1, new Part.Prose(above.id(), joined(above, prose)));
        } else {
          list.add(prose);
        }
        return true;
      }
      case Part other -> list.add(other);
    }
    return false;
  }

  private Optional<Part> part(Row row) {
    String text = row.text();
    while (text.endsWith("\\") && !rows.isEmpty()) {
      text = text + "\n" + rows.removeFirst().text();
    }
    ids++;
    PartReading.Result result = parts.read(text, text.length(), new PartId("p" + ids)).result();
    return switch (result) {
      case PartReading.Made made -> Optional.of(made.part());
      case PartReading.Unclear unclear -> {
        problem(row, unclear.refused().why());
        yield Optional.empty();
      }
    };
  }

  /** Points of a list that follow each other are one list. */
  private static List<Block> joined(Part.Prose above, Part.Prose prose) {
    List<Block> blocks = new ArrayList<>(above.blocks());
    Block more = prose.blocks().getFirst();
    if (more instanceof Block.Items items
        && blocks.getLast() instanceof Block.Items last
        && last.numbered() == items.numbered()) {
      List<Block.Item> all = new ArrayList<>(last.items());
      all.addAll(items.items());
      blocks.set(blocks.size() - 1, new Block.Items(last.numbered(), all));
    } else {
      blocks.add(more);
    }
    return blocks;
  }

  private Part columns(Part.Columns columns, Row row) {
    List<Part.Column> filled = new ArrayList<>();
    for (int n = 0; n < columns.columns().size(); n++) {
      if (!head("column", row.indent())) {
        problem(row, "Below it stands \u201ccolumn\u201d for each of its columns.");
        return columns;
      }
      filled.add(new Part.Column(list(row.indent() + 1)));
    }
    return made(row, () -> new Part.Columns(columns.id(), filled), columns);
  }

  private Part passage(Part.Passage passage, Row row) {
    List<Part> inside = list(row.indent() + 1);
    List<Part> otherwise = head("otherwise", row.indent()) ? list(row.indent() + 1) : List.of();
    return new Part.Passage(passage.id(), passage.who(), inside, otherwise);
  }

  private Part made(Row row, java.util.function.Supplier<Part> make, Part instead) {
    try {
      return make.get();
    } catch (Refused refused) {
      problem(row, refused.sentence());
      return instead;
    }
  }

  /** Reads a line that says which list comes, if it stands here. */
  private boolean head(String words, int indent) {
    while (!rows.isEmpty() && rows.getFirst().text().isEmpty()) {
      rows.removeFirst();
    }
    boolean stands =
        !rows.isEmpty()
            && rows.getFirst().indent() == indent
            && rows.getFirst().text().equals(words);
    if (stands) {
      rows.removeFirst();
    }
    return stands;
  }
}
