package org.opentrellis.core.message;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FileName;
import org.opentrellis.core.journey.PartId;
import org.opentrellis.core.problem.Refused;

/** A part of an email. What is not filled in yet may be empty: checks say so. */
public sealed interface Part
    permits Part.Prose,
        Part.Picture,
        Part.Button,
        Part.Columns,
        Part.Passage,
        Part.Rule,
        Part.Space,
        Part.Products,
        Part.Voucher,
        Part.News,
        Part.Countdown,
        Part.Film,
        Part.LinkRow,
        Part.OwnHtml {

  /** Its identity within the message. */
  PartId id();

  /** Paragraphs, headings and lists. */
  record Prose(PartId id, List<Block> blocks) implements Part {
    public Prose {
      blocks = List.copyOf(blocks);
    }
  }

  /**
   * @param words for those who do not see it
   * @param link if it leads somewhere
   * @param percent how wide it is, of the space that it has
   */
  record Picture(PartId id, Optional<FileName> file, String words, Optional<Link> link, int percent)
      implements Part {
    public Picture {
      words = Limits.line("a picture's words", words, 300);
      percent = Limits.within("a picture's width in percent", percent, 10, 100);
    }
  }

  record Button(PartId id, OneLine words, Link link) implements Part {}

  /** Two or three next to each other; one below the other on a phone. */
  record Columns(PartId id, List<Column> columns) implements Part {
    public Columns {
      columns = List.copyOf(columns);
      if (columns.size() < 2 || columns.size() > 3) {
        throw new Refused("there are two or three columns, not " + columns.size());
      }
    }
  }

  record Column(List<Part> parts) {
    public Column {
      parts = List.copyOf(parts);
      for (Part part : parts) {
        if (part instanceof Columns) {
          throw new Refused("a column holds no columns");
        }
      }
    }
  }

  /**
   * What is there only for some.
   *
   * @param who for whom; everybody if it is an empty "all"
   * @param otherwise what is there for the others
   */
  record Passage(PartId id, Condition who, List<Part> parts, List<Part> otherwise) implements Part {
    public Passage {
      parts = List.copyOf(parts);
      otherwise = List.copyOf(otherwise);
    }
  }

  record Rule(PartId id) implements Part {}

  /**
   * @param height in pixels
   */
  record Space(PartId id, int height) implements Part {
    public Space {
      height = Limits.within("a space in pixels", height, 4, 200);
    }
  }

  /**
   * @param most how many at most
   */
  record Products(PartId id, Shown which, int most) implements Part {
    public Products {
      most = Limits.within("the number of products", most, 1, 12);
    }
  }

  /**
   * Something off.
   *
   * @param code what is typed in the shop
   * @param worth such as "15%"
   * @param until the last day on which it holds
   */
  record Voucher(PartId id, String code, String worth, Optional<LocalDate> until) implements Part {
    public Voucher {
      code = Limits.line("a voucher's code", code, 40).strip();
      worth = Limits.line("what a voucher is worth", worth, 80).strip();
    }
  }

  /** What is new since the last issue. */
  record News(PartId id, int most) implements Part {
    public News {
      most = Limits.within("the number of entries", most, 1, 20);
    }
  }

  /**
   * How many days are left, drawn when the email is opened.
   *
   * @param until by the account's clock
   * @param words for those who do not see it
   */
  record Countdown(PartId id, Optional<LocalDateTime> until, String words) implements Part {
    public Countdown {
      words = Limits.line("a countdown's words", words, 200);
    }
  }

  /** A picture with a play mark that leads to a film. */
  record Film(PartId id, Optional<FileName> picture, String words, Link link) implements Part {
    public Film {
      words = Limits.line("a film's words", words, 300);
    }
  }

  /** Some links in one row. */
  record LinkRow(PartId id, List<RowLink> links) implements Part {
    public LinkRow {
      links = List.copyOf(links);
      if (links.size() > 8) {
        throw new Refused("a row has at most 8 links, not " + links.size());
      }
    }
  }

  record RowLink(String words, Link link) {
    public RowLink {
      words = Limits.line("a link's words", words, 80);
    }
  }

  /** What somebody wrote by hand; it is cleaned before it is sent. */
  record OwnHtml(PartId id, String html) implements Part {
    private static final int LONGEST = 200_000;

    public OwnHtml {
      if (html.length() > LONGEST) {
        throw new Refused(
            "own HTML has at most %,d characters, not %,d".formatted(LONGEST, html.length()));
      }
    }
  }

  /** The parts right inside of it, in order. */
  default Stream<Part> inside() {
    return switch (this) {
      case Columns columns -> columns.columns().stream().flatMap(one -> one.parts().stream());
      case Passage passage -> Stream.concat(passage.parts().stream(), passage.otherwise().stream());
      case Prose prose -> Stream.empty();
      case Picture picture -> Stream.empty();
      case Button button -> Stream.empty();
      case Rule rule -> Stream.empty();
      case Space space -> Stream.empty();
      case Products products -> Stream.empty();
      case Voucher voucher -> Stream.empty();
      case News news -> Stream.empty();
      case Countdown countdown -> Stream.empty();
      case Film film -> Stream.empty();
      case LinkRow row -> Stream.empty();
      case OwnHtml html -> Stream.empty();
    };
  }

  /** It and all that is in it, in the order of reading. */
  default Stream<Part> all() {
    return Stream.concat(Stream.of(this), inside().flatMap(Part::all));
  }
}
