package org.opentrellis.core.reading;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.FileName;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.PartId;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.message.Block;
import org.opentrellis.core.message.Link;
import org.opentrellis.core.message.OneLine;
import org.opentrellis.core.message.Part;
import org.opentrellis.core.message.Shown;
import org.opentrellis.core.sentence.Library;
import org.opentrellis.core.sentence.PartWords;

/**
 * Reads the parts of a message as they are typed: "button Open the planner to file
 * hive-planner.pdf", "passage if on list Members", "voucher SPRING 15% until 30 Nov". Whatever
 * begins with none of the words for a part is a text.
 */
public final class PartReader {
  private static final int USUAL_SPACE = 24;
  private static final int USUAL_PRODUCTS = 3;
  private static final int USUAL_NEWS = 5;

  private static final Pattern BEGINS =
      Pattern.compile(
          "(?i)(button|picture|two columns|three columns|passage|rule|space|products|voucher|news|"
              + "countdown|film|links|html)\\b.*",
          Pattern.DOTALL);

  private static final Pattern CODE = Pattern.compile("[\\p{L}\\p{N}_-]+");
  private static final Pattern WORTH = Pattern.compile("\\S*\\d\\S*");
  private static final Pattern WIDE = Pattern.compile("(\\d{1,3})\\s*% wide");
  private static final Pattern TIME = Pattern.compile("(\\d{1,2})[:.](\\d{2})");

  private final Catalogue catalogue;
  private final KnownNames known;
  private final Collection<String> journeys;
  private final Collection<String> files;
  private final LocalDate today;

  /**
   * @param known the names in use
   * @param journeys what the journeys of the account are called
   * @param files the names of the pictures and files that are kept
   * @param today that a date without a year comes after
   */
  public PartReader(
      Catalogue catalogue,
      KnownNames known,
      Collection<String> journeys,
      Collection<String> files,
      LocalDate today) {
    this.catalogue = catalogue;
    this.known = known;
    this.journeys = journeys;
    this.files = files;
    this.today = today;
  }

  /**
   * @param id that the part is to have
   * @param caret where completions are wanted, in characters from the start
   */
  public PartReading read(String text, int caret, PartId id) {
    Cursor cursor = Cursor.ofParts(text);
    PartReading.Result result;
    try {
      Part part = part(cursor, text, id);
      result = new PartReading.Made(part, new PartWords(catalogue).say(part));
    } catch (NotUnderstood problem) {
      result =
          new PartReading.Unclear(
              new Reading.Refused(
                  problem.sentence(), problem.from, problem.to, problem.asks, problem.offers()));
    }
    Cursor begun = caret == text.length() ? cursor : begun(text.substring(0, caret), id);
    return new PartReading(result, begun.completions());
  }

  private Cursor begun(String text, PartId id) {
    Cursor cursor = Cursor.ofParts(text);
    try {
      part(cursor, text, id);
    } catch (NotUnderstood unfinished) {
      // what could have stood at the end is known all the same
    }
    return cursor;
  }

  private Part part(Cursor cursor, String text, PartId id) {
    offerBeginnings(cursor);
    boolean typed = BEGINS.matcher(text.strip()).matches();
    if (!typed) {
      return prose(text, id);
    }
    if (Character.isLowerCase(text.strip().charAt(0))) {
      return made(cursor, id);
    }
    try {
      return made(cursor, id);
    } catch (NotUnderstood rather) {
      // "News from the hives" begins a sentence
      return prose(text, id);
    }
  }

  private static void offerBeginnings(Cursor cursor) {
    for (String words :
        List.of(
            "button",
            "picture",
            "two columns",
            "three columns",
            "passage if",
            "rule",
            "space",
            "products",
            "voucher",
            "news",
            "countdown to",
            "film",
            "links",
            "html")) {
      cursor.could(words);
    }
  }

  private Part prose(String text, PartId id) {
    String said = text.strip();
    if (said.isEmpty()) {
      throw new NotUnderstood(
          "Write on, or say what comes: button \u2026, picture \u2026, two columns, passage if \u2026",
          0,
          0);
    }
    int at = text.indexOf(said);
    Block block = prose().block(said, at);
    return new Part.Prose(id, List.of(block));
  }

  TypedProse prose() {
    return new TypedProse(known.of(FieldName.class));
  }

  private Part made(Cursor cursor, PartId id) {
    Part part = kind(cursor, id);
    cursor.requireEnd();
    return part;
  }

  private Part kind(Cursor cursor, PartId id) {
    if (cursor.word("button")) {
      return button(cursor, id);
    }
    if (cursor.word("picture")) {
      return picture(cursor, id);
    }
    if (cursor.word("two columns")) {
      return new Part.Columns(id, columns(2));
    }
    if (cursor.word("three columns")) {
      return new Part.Columns(id, columns(3));
    }
    if (cursor.word("passage if")) {
      return new Part.Passage(id, who(cursor), List.of(), List.of());
    }
    if (cursor.word("rule")) {
      return new Part.Rule(id);
    }
    if (cursor.word("space")) {
      int from = cursor.at();
      Integer height = new NumberReader(cursor).whole();
      cursor.silently("px");
      return cursor.meaning(from, () -> new Part.Space(id, height == null ? USUAL_SPACE : height));
    }
    if (cursor.word("products")) {
      return products(cursor, id);
    }
    if (cursor.word("voucher")) {
      return voucher(cursor, id);
    }
    if (cursor.word("news")) {
      return cursor.meaning(cursor.at(), () -> new Part.News(id, atMost(cursor, USUAL_NEWS)));
    }
    if (cursor.word("countdown to") || cursor.silently("countdown")) {
      return countdown(cursor, id);
    }
    if (cursor.word("film")) {
      return film(cursor, id);
    }
    if (cursor.word("links")) {
      return links(cursor, id);
    }
    if (cursor.silently("html")) {
      String html = cursor.given().strip().substring("html".length()).strip();
      cursor.back(cursor.given().length());
      return cursor.meaning(0, () -> new Part.OwnHtml(id, html));
    }
    throw cursor.lost();
  }

  private Part button(Cursor cursor, PartId id) {
    int from = cursor.at();
    String words = link(cursor).words("what stands on the button");
    OneLine line = prose().line(words, from);
    Link link = link(cursor).leads();
    return cursor.meaning(from, () -> new Part.Button(id, line, link));
  }

  private Part picture(Cursor cursor, PartId id) {
    int from = cursor.at();
    Optional<FileName> file = link(cursor).file();
    String words = "";
    int percent = 100;
    Optional<Link> link = Optional.empty();
    boolean more = true;
    while (more) {
      Matcher wide = cursor.matches(WIDE);
      if (wide != null) {
        percent = Integer.parseInt(wide.group(1));
      } else if (cursor.word("words")) {
        words = link(cursor).words("what is seen");
      } else if (cursor.sees("to")) {
        link = Optional.of(link(cursor).leads());
      } else {
        cursor.could("to");
        more = false;
      }
    }
    String said = words;
    int wide = percent;
    Optional<Link> to = link;
    return cursor.meaning(from, () -> new Part.Picture(id, file, said, to, wide));
  }

  private Part film(Cursor cursor, PartId id) {
    int from = cursor.at();
    Optional<FileName> file = cursor.sees("to|words") ? Optional.empty() : link(cursor).file();
    String words = cursor.word("words") ? link(cursor).words("what is seen") : "";
    Link link = link(cursor).leads();
    return cursor.meaning(from, () -> new Part.Film(id, file, words, link));
  }

  private LinkReader link(Cursor cursor) {
    return new LinkReader(cursor, files);
  }

  private static List<Part.Column> columns(int count) {
    List<Part.Column> columns = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      columns.add(new Part.Column(List.of()));
    }
    return columns;
  }

  private Condition who(Cursor cursor) {
    cursor.says("they");
    Journey nowhere = Journey.empty("Nowhere", Purpose.OTHER);
    Library library = new Library(nowhere, catalogue);
    Scope scope =
        new Scope(library, new Written(catalogue), known, journeys, List.of(), true, today);
    return new ConditionReader(cursor, scope).read();
  }

  private Part products(Cursor cursor, PartId id) {
    int from = cursor.at();
    Shown shown = new ProductsReader(cursor, known).read();
    int most = atMost(cursor, USUAL_PRODUCTS);
    return cursor.meaning(from, () -> new Part.Products(id, shown, most));
  }

  private static int atMost(Cursor cursor, int usual) {
    if (cursor.any("at most", "up to|no more than")) {
      return new NumberReader(cursor).requireWhole("3");
    }
    return usual;
  }

  private Part voucher(Cursor cursor, PartId id) {
    int from = cursor.at();
    String code = cursor.atQuote() ? cursor.quoted("the code") : matched(cursor, CODE);
    String worth = cursor.atQuote() ? cursor.quoted("what it is worth") : worth(cursor);
    cursor.silently("off");
    Optional<LocalDate> until = cursor.word("until") ? Optional.of(date(cursor)) : Optional.empty();
    return cursor.meaning(from, () -> new Part.Voucher(id, code, worth, until));
  }

  private static String worth(Cursor cursor) {
    return cursor.sees("until") ? "" : matched(cursor, WORTH);
  }

  private static String matched(Cursor cursor, Pattern pattern) {
    Matcher found = cursor.matches(pattern);
    return found == null ? "" : found.group();
  }

  private LocalDate date(Cursor cursor) {
    int from = cursor.at();
    LocalDate date = new DateReader(cursor, today).date();
    if (date == null) {
      throw new NotUnderstood(
          "Here stands a day, such as 30 November or 2027-03-14.", from, cursor.given().length());
    }
    return date;
  }

  private Part countdown(Cursor cursor, PartId id) {
    if (cursor.atEnd()) {
      return new Part.Countdown(id, Optional.empty(), "");
    }
    LocalDate day = date(cursor);
    cursor.silently("at");
    int from = cursor.at();
    Matcher time = cursor.matches(TIME);
    LocalTime at =
        time == null
            ? LocalTime.MAX.withNano(0).withSecond(0)
            : cursor.meaning(from, () -> time(time, from, cursor.end()));
    String words =
        cursor.word("words") ? link(cursor).words("what is said without the picture") : "";
    return new Part.Countdown(id, Optional.of(LocalDateTime.of(day, at)), words);
  }

  private static LocalTime time(Matcher time, int from, int to) {
    int hour = Integer.parseInt(time.group(1));
    int minute = Integer.parseInt(time.group(2));
    if (hour > 23 || minute > 59) {
      throw new NotUnderstood("A time of day is written like 18:00.", from, to);
    }
    return LocalTime.of(hour, minute);
  }

  private Part links(Cursor cursor, PartId id) {
    List<Part.RowLink> links = new ArrayList<>();
    int from = cursor.at();
    do {
      String words = link(cursor).words("what the link says");
      Link link = link(cursor).leads();
      links.add(cursor.meaning(from, () -> new Part.RowLink(words, link)));
    } while (cursor.silently(","));
    return cursor.meaning(from, () -> new Part.LinkRow(id, links));
  }
}
