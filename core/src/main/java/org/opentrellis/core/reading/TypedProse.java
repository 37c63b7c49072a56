package org.opentrellis.core.reading;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.message.Block;
import org.opentrellis.core.message.Format;
import org.opentrellis.core.message.Inline;
import org.opentrellis.core.message.Link;
import org.opentrellis.core.message.MergeField;
import org.opentrellis.core.message.OneLine;
import org.opentrellis.core.message.Source;
import org.opentrellis.core.message.Target;
import org.opentrellis.core.message.WebAddress;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.sentence.Style;

/**
 * Reads a text as it is typed: "# " makes a heading, "- " a list, **bold**, *italic*, [words](an
 * address), and {first name, or keeper} what is each person's own.
 */
final class TypedProse {
  private static final Pattern HEADING = Pattern.compile("(#{1,3})\\s+(.+)", Pattern.DOTALL);
  private static final Pattern POINT = Pattern.compile("[-*\u2022]\\s+(.+)", Pattern.DOTALL);
  private static final Pattern NUMBERED = Pattern.compile("\\d{1,2}[.)]\\s+(.+)", Pattern.DOTALL);
  private static final Pattern MARK =
      Pattern.compile(
          "\\{(?<field>[^{}]*)}|\\*\\*(?<bold>[^*]+)\\*\\*|\\*(?<italic>[^*\\s][^*]*)\\*"
              + "|\\[(?<words>[^\\[\\]]+)]\\((?<to>[^()\\s]+)\\)");
  private static final Pattern FIELD =
      Pattern.compile("(?<name>.+?)(\\s+as\\s+(?<as>[a-z ]+?))?(\\s*,\\s*(or\\s+)?(?<or>.*))?");

  private final Collection<String> fields;

  /**
   * @param fields the fields of the record
   */
  TypedProse(Collection<String> fields) {
    this.fields = fields;
  }

  /**
   * A paragraph, a heading or a point of a list.
   *
   * @param at where it begins in what was typed
   */
  Block block(String text, int at) {
    Matcher heading = HEADING.matcher(text);
    if (heading.matches()) {
      return new Block.Heading(
          heading.group(1).length(), words(heading.group(2), at + heading.start(2)));
    }
    Matcher point = POINT.matcher(text);
    if (point.matches()) {
      return list(false, words(point.group(1), at + point.start(1)));
    }
    Matcher numbered = NUMBERED.matcher(text);
    if (numbered.matches()) {
      return list(true, words(numbered.group(1), at + numbered.start(1)));
    }
    return new Block.Paragraph(words(text, at));
  }

  private static Block list(boolean numbered, List<Inline> words) {
    return new Block.Items(numbered, List.of(new Block.Item(words)));
  }

  /** A line with fields, without marks. */
  OneLine line(String text, int at) {
    List<Inline> words = new ArrayList<>();
    Matcher field = Pattern.compile("\\{([^{}]*)}").matcher(text);
    int end = 0;
    while (field.find()) {
      plain(text.substring(end, field.start()), words);
      words.add(Inline.Field.plain(field(field.group(1), at + field.start())));
      end = field.end();
    }
    plain(text.substring(end), words);
    return new OneLine(words);
  }

  private List<Inline> words(String text, int at) {
    List<Inline> words = new ArrayList<>();
    Matcher mark = MARK.matcher(text);
    int end = 0;
    while (mark.find()) {
      plain(text.substring(end, mark.start()), words);
      words.add(marked(mark, at));
      end = mark.end();
    }
    plain(text.substring(end), words);
    return words;
  }

  private Inline marked(Matcher mark, int at) {
    if (mark.group("field") != null) {
      return Inline.Field.plain(field(mark.group("field"), at + mark.start()));
    }
    if (mark.group("bold") != null) {
      return new Inline.Words(mark.group("bold"), true, false, Optional.empty());
    }
    if (mark.group("italic") != null) {
      return new Inline.Words(mark.group("italic"), false, true, Optional.empty());
    }
    String address = WebAddress.completed(mark.group("to"));
    return new Inline.Words(
        mark.group("words"), false, false, Optional.of(Link.to(new Target.Web(address))));
  }

  /** A backslash at the end of a line is a line break; a line break alone is a space. */
  private static void plain(String text, List<Inline> words) {
    String[] lines = text.split("\\\\\n", -1);
    for (int i = 0; i < lines.length; i++) {
      if (i > 0) {
        words.add(new Inline.Break());
      }
      String line = lines[i].replaceAll("\\s*\n\\s*", " ");
      if (!line.isEmpty()) {
        words.add(Inline.Words.plain(line));
      }
    }
  }

  /** "first name, or keeper", "member until as day and month, or soon". */
  private MergeField field(String inside, int from) {
    int to = from + inside.length() + 2;
    Matcher parts = FIELD.matcher(inside.strip());
    if (!parts.matches()) {
      throw new NotUnderstood(
          "Between the braces stands what is each person\u2019s own, such as {first name, or keeper}.",
          from,
          to);
    }
    Source source =
        source(parts.group("name").strip())
            .orElseThrow(() -> unknown(parts.group("name").strip(), from, to));
    Format format =
        parts.group("as") == null ? Format.USUAL : format(parts.group("as").strip(), from, to);
    String fallback = parts.group("or") == null ? "" : parts.group("or").strip();
    try {
      return new MergeField(source, fallback, format);
    } catch (Refused refused) {
      throw new NotUnderstood(refused.sentence(), from, to);
    }
  }

  private NotUnderstood unknown(String name, int from, int to) {
    Collection<String> known = Stream.concat(own().map(Source::said), fields.stream()).toList();
    String near =
        Nearest.name(name, known)
            .map(one -> " Did you mean " + Style.quoted(one) + "?")
            .orElse(" There is first name, last name and the fields of the record.");
    return new NotUnderstood(
        "Nothing of a person is called %s.%s".formatted(Style.quoted(name), near), from, to);
  }

  private static Stream<Source> own() {
    return Stream.of(
        new Source.FirstName(),
        new Source.LastName(),
        new Source.Address(),
        new Source.SenderName(),
        new Source.AccountName(),
        new Source.CartTotal(),
        new Source.OrderTotal(),
        new Source.Today());
  }

  private Optional<Source> source(String name) {
    return own()
        .filter(one -> one.said().equalsIgnoreCase(name))
        .findFirst()
        .or(
            () ->
                fields.stream()
                    .filter(one -> one.equalsIgnoreCase(name))
                    .findFirst()
                    .map(one -> new Source.OfField(new FieldName(one))));
  }

  private static Format format(String words, int from, int to) {
    return Stream.of(Format.values())
        .filter(one -> one.words().equals(words.toLowerCase(Locale.ROOT)))
        .findFirst()
        .orElseThrow(
            () ->
                new NotUnderstood(
                    "%s is no way to write a value. There is %s."
                        .formatted(
                            Style.quoted(words),
                            String.join(
                                ", ", Stream.of(Format.values()).map(Format::words).toList())),
                    from,
                    to));
  }
}
