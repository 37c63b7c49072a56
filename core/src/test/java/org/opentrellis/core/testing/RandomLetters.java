package org.opentrellis.core.testing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.function.Supplier;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.FileName;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.PartId;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.message.Block;
import org.opentrellis.core.message.ByHand;
import org.opentrellis.core.message.Format;
import org.opentrellis.core.message.Inline;
import org.opentrellis.core.message.Link;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.MergeField;
import org.opentrellis.core.message.OneLine;
import org.opentrellis.core.message.Part;
import org.opentrellis.core.message.Shown;
import org.opentrellis.core.message.Source;
import org.opentrellis.core.message.StyleChange;
import org.opentrellis.core.message.Target;

/** Emails with parts of every kind, the same for the same seed; every field has its fallback. */
public final class RandomLetters {
  private static final List<String> WORDS =
      List.of(
          "hive",
          "keeper",
          "frames & lids",
          "a < b",
          "\"quoted\"",
          "it's",
          "Grüße",
          "пчела",
          "蜂",
          "swarm",
          "slot",
          "queen",
          "100%",
          "$1",
          "\\0",
          "honey");
  private static final List<String> FIELDS = List.of("hives", "member until", "plot");
  private static final int DEEPEST = 2;

  private final SplittableRandom random;
  private int parts;

  private RandomLetters(long seed) {
    this.random = new SplittableRandom(seed);
  }

  public static Manuscript.Email email(long seed) {
    RandomLetters letters = new RandomLetters(seed);
    return new Manuscript.Email(
        letters.line(),
        letters.line(),
        Optional.empty(),
        letters.list(0, 1 + letters.random.nextInt(7)),
        letters.maybe(() -> new ByHand(letters.blocks())),
        StyleChange.NONE);
  }

  private List<Part> list(int depth, int count) {
    List<Part> list = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      list.add(part(depth));
    }
    return list;
  }

  private Part part(int depth) {
    parts++;
    PartId id = new PartId("p" + parts);
    int kinds = depth < DEEPEST ? 14 : 12;
    return switch (random.nextInt(kinds)) {
      case 0 -> new Part.Button(id, line(), link());
      case 1 -> new Part.Picture(id, file(), words(), maybe(this::link), 10 + random.nextInt(91));
      case 2 -> new Part.Rule(id);
      case 3 -> new Part.Space(id, 4 + random.nextInt(100));
      case 4 -> new Part.Products(id, shown(), 1 + random.nextInt(4));
      case 5 -> new Part.Voucher(id, "CODE" + random.nextInt(9), words(), maybe(this::day));
      case 6 -> new Part.News(id, 1 + random.nextInt(3));
      case 7 -> new Part.Countdown(id, Optional.of(day().atTime(18, 0)), words());
      case 8 -> new Part.Film(id, file(), words(), link());
      case 9 ->
          new Part.LinkRow(
              id, List.of(new Part.RowLink(words(), link()), new Part.RowLink(words(), link())));
      case 10 -> new Part.OwnHtml(id, "<p>own <b>html</b></p>");
      case 12 -> {
        List<Part.Column> columns = new ArrayList<>();
        for (int n = 2 + random.nextInt(2); n > 0; n--) {
          columns.add(new Part.Column(list(DEEPEST, random.nextInt(3))));
        }
        yield new Part.Columns(id, columns);
      }
      case 13 ->
          new Part.Passage(
              id,
              new Condition.OnList(new ListName(random.nextBoolean() ? "Members" : "Trade")),
              list(depth + 1, random.nextInt(3)),
              list(depth + 1, random.nextInt(2)));
      default -> new Part.Prose(id, blocks());
    };
  }

  private List<Block> blocks() {
    List<Block> blocks = new ArrayList<>();
    for (int n = 1 + random.nextInt(3); n > 0; n--) {
      blocks.add(
          switch (random.nextInt(3)) {
            case 0 -> new Block.Heading(1 + random.nextInt(3), inlines());
            case 1 ->
                new Block.Items(
                    random.nextBoolean(),
                    List.of(new Block.Item(inlines()), new Block.Item(inlines())));
            default -> new Block.Paragraph(inlines());
          });
    }
    return blocks;
  }

  private List<Inline> inlines() {
    List<Inline> inlines = new ArrayList<>();
    for (int n = 1 + random.nextInt(4); n > 0; n--) {
      boolean bold = random.nextInt(4) == 0;
      boolean italic = random.nextInt(4) == 0;
      Optional<Link> link = maybe(this::link);
      inlines.add(
          switch (random.nextInt(5)) {
            case 0 -> new Inline.Field(field(), bold, italic, link);
            case 1 -> new Inline.Break();
            default -> new Inline.Words(words() + " ", bold, italic, link);
          });
    }
    return inlines;
  }

  private OneLine line() {
    List<Inline> inlines = new ArrayList<>();
    inlines.add(Inline.Words.plain(words() + " "));
    if (random.nextBoolean()) {
      inlines.add(Inline.Field.plain(field()));
    }
    return new OneLine(inlines);
  }

  private MergeField field() {
    Source source =
        switch (random.nextInt(7)) {
          case 0 -> new Source.LastName();
          case 1 -> new Source.OfField(new FieldName(FIELDS.get(random.nextInt(FIELDS.size()))));
          case 2 -> new Source.Today();
          case 3 -> new Source.CartTotal();
          case 4 -> new Source.Address();
          case 5 -> new Source.SenderName();
          default -> new Source.FirstName();
        };
    Format[] formats = Format.values();
    return new MergeField(source, "friend", formats[random.nextInt(formats.length)]);
  }

  private Link link() {
    Target to =
        switch (random.nextInt(5)) {
          case 0 -> new Target.KeptFile(new FileName("planner.pdf"));
          case 1 -> new Target.Cart();
          case 2 -> new Target.Choices();
          default -> new Target.Web("https://ambercomb.example/?a=1&b=" + random.nextInt(9));
        };
    return new Link(Optional.of(to), maybe(() -> new LinkName("Link " + random.nextInt(5))));
  }

  private Shown shown() {
    return switch (random.nextInt(3)) {
      case 0 -> new Shown.InCart();
      case 1 -> new Shown.Bought();
      default -> new Shown.Chosen(List.of(new ProductName("Smoker")));
    };
  }

  private static Optional<FileName> file() {
    return Optional.of(new FileName("hives.png"));
  }

  private LocalDate day() {
    return LocalDate.of(2027, 1, 1).plusDays(random.nextInt(300));
  }

  private String words() {
    StringBuilder words = new StringBuilder();
    for (int n = 1 + random.nextInt(3); n > 0; n--) {
      words.append(words.isEmpty() ? "" : " ").append(WORDS.get(random.nextInt(WORDS.size())));
    }
    return words.toString();
  }

  private <T> Optional<T> maybe(Supplier<T> make) {
    return random.nextInt(3) == 0 ? Optional.of(make.get()) : Optional.empty();
  }
}
