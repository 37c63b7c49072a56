package org.opentrellis.core.message;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Changes what stands in the lines of a message, wherever they are. */
public final class FieldsMended {
  private static final Pattern FIRST_NAME =
      Pattern.compile("(?i)[\\[{]+\\s*(first[ _-]?name|name|fname)\\s*[]}]+");

  private FieldsMended() {}

  /** The message with other merge fields. */
  public static Manuscript in(Manuscript manuscript, UnaryOperator<MergeField> change) {
    return each(
        manuscript,
        one ->
            one instanceof Inline.Field field
                ? Stream.of(
                    new Inline.Field(
                        change.apply(field.field()), field.bold(), field.italic(), field.link()))
                : Stream.of(one));
  }

  /**
   * The message with the first name in the place of words that stand for it.
   *
   * @param words such as "{first name}"
   * @return empty if they do not look like it
   */
  public static Optional<Manuscript> firstName(Manuscript manuscript, String words) {
    if (!FIRST_NAME.matcher(words).matches()) {
      return Optional.empty();
    }
    MergeField name = MergeField.of(new Source.FirstName(), "there");
    return Optional.of(
        each(
            manuscript,
            one ->
                one instanceof Inline.Words some
                    ? parted(some, words, name).stream()
                    : Stream.of(one)));
  }

  private static List<Inline> parted(Inline.Words some, String words, MergeField field) {
    List<Inline> parts = new ArrayList<>();
    String[] around = some.text().split(Pattern.quote(words), -1);
    for (int i = 0; i < around.length; i++) {
      if (i > 0) {
        parts.add(new Inline.Field(field, some.bold(), some.italic(), some.link()));
      }
      if (!around[i].isEmpty()) {
        parts.add(new Inline.Words(around[i], some.bold(), some.italic(), some.link()));
      }
    }
    return parts;
  }

  /** What a line is made of, changed one by one. */
  private interface Change {
    Stream<Inline> of(Inline one);
  }

  private static Manuscript each(Manuscript manuscript, Change change) {
    return switch (manuscript) {
      case Manuscript.Email email ->
          email
              .withSubject(line(email.subject(), change))
              .withPreview(line(email.preview(), change))
              .with(parts(email.parts(), change))
              .withPlain(email.plain().map(plain -> new ByHand(blocks(plain.blocks(), change))));
      case Manuscript.Text text ->
          new Manuscript.Text(line(text.words(), change), text.voucher(), text.links());
    };
  }

  private static OneLine line(OneLine line, Change change) {
    return new OneLine(words(line.words(), change));
  }

  private static List<Inline> words(List<Inline> words, Change change) {
    return words.stream().flatMap(change::of).toList();
  }

  private static Part part(Part part, Change change) {
    return switch (part) {
      case Part.Prose prose -> new Part.Prose(prose.id(), blocks(prose.blocks(), change));
      case Part.Button button ->
          new Part.Button(button.id(), line(button.words(), change), button.link());
      case Part.Columns columns ->
          new Part.Columns(
              columns.id(),
              columns.columns().stream()
                  .map(one -> new Part.Column(parts(one.parts(), change)))
                  .toList());
      case Part.Passage passage ->
          new Part.Passage(
              passage.id(),
              passage.who(),
              parts(passage.parts(), change),
              parts(passage.otherwise(), change));
      case Part.Picture picture -> picture;
      case Part.Rule rule -> rule;
      case Part.Space space -> space;
      case Part.Products products -> products;
      case Part.Voucher voucher -> voucher;
      case Part.News news -> news;
      case Part.Countdown countdown -> countdown;
      case Part.Film film -> film;
      case Part.LinkRow row -> row;
      case Part.OwnHtml html -> html;
    };
  }

  private static List<Block> blocks(List<Block> blocks, Change change) {
    return blocks.stream().map(block -> block(block, change)).toList();
  }

  private static List<Part> parts(List<Part> parts, Change change) {
    return parts.stream().map(part -> part(part, change)).toList();
  }

  private static Block block(Block block, Change change) {
    return switch (block) {
      case Block.Paragraph paragraph -> new Block.Paragraph(words(paragraph.words(), change));
      case Block.Heading heading ->
          new Block.Heading(heading.level(), words(heading.words(), change));
      case Block.Items list ->
          new Block.Items(
              list.numbered(),
              list.items().stream()
                  .map(item -> new Block.Item(words(item.words(), change)))
                  .toList());
    };
  }
}
