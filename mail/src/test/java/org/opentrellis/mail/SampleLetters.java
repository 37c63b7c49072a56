package org.opentrellis.mail;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.account.Regional;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FileName;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.PartId;
import org.opentrellis.core.message.Block;
import org.opentrellis.core.message.HouseStyle;
import org.opentrellis.core.message.Inline;
import org.opentrellis.core.message.Letterhead;
import org.opentrellis.core.message.Link;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.MergeField;
import org.opentrellis.core.message.NewsEntry;
import org.opentrellis.core.message.OneLine;
import org.opentrellis.core.message.Part;
import org.opentrellis.core.message.ProductShown;
import org.opentrellis.core.message.Recipient;
import org.opentrellis.core.message.Shown;
import org.opentrellis.core.message.Source;
import org.opentrellis.core.message.StyleChange;
import org.opentrellis.core.message.Target;

/** Letters and people that tests are written about. */
final class SampleLetters {
  static final MergeField FIRST = MergeField.of(new Source.FirstName(), "keeper");

  static final Letterhead HEAD =
      new Letterhead(
          "Ambercomb",
          "Ambercomb co-op\nHive Lane 3\n01234 Combton",
          new Regional(ZoneId.of("Europe/Berlin"), Locale.UK, Currency.getInstance("EUR")),
          HouseStyle.USUAL);

  private SampleLetters() {}

  static PartId id(int n) {
    return new PartId("p" + n);
  }

  /** One part of every kind. */
  static Manuscript.Email whole() {
    Link planner = Link.to(new Target.KeptFile(new FileName("hive-planner.pdf")));
    return email(
        new Part.Picture(
            id(1),
            Optional.of(new FileName("hives.png")),
            "Three pale hives in clover",
            Optional.empty(),
            100),
        new Part.Prose(
            id(2),
            List.of(
                new Block.Heading(1, OneLine.of("Your year with bees").words()),
                new Block.Paragraph(
                    List.of(
                        Inline.Words.plain("Hello "),
                        Inline.Field.plain(FIRST),
                        Inline.Words.plain(", here is the "),
                        new Inline.Words("planner", true, false, Optional.of(planner)),
                        Inline.Words.plain(" you asked for."))),
                new Block.Items(
                    true,
                    List.of(
                        new Block.Item(OneLine.of("Print it").words()),
                        new Block.Item(OneLine.of("Hang it up").words()))))),
        new Part.Button(id(3), OneLine.of("Open the planner"), planner),
        new Part.Passage(
            id(4),
            new Condition.OnList(new ListName("Members")),
            List.of(prose(5, "As a member you get the frame plans, too.")),
            List.of(prose(6, "Members get the frame plans, too."))),
        new Part.Columns(
            id(7),
            List.of(
                new Part.Column(List.of(prose(8, "In spring, look for the queen once."))),
                new Part.Column(List.of(prose(9, "In autumn, weigh before you feed."))))),
        new Part.Rule(id(10)),
        new Part.Space(id(11), 24),
        new Part.Products(id(12), new Shown.InCart(), 3),
        new Part.Voucher(id(13), "SPRING", "15%", Optional.of(LocalDate.of(2026, 11, 30))),
        new Part.News(id(14), 2),
        new Part.Countdown(
            id(15), Optional.of(LocalDateTime.of(2026, 11, 30, 18, 0)), "It ends on Monday"),
        new Part.Film(
            id(16),
            Optional.of(new FileName("hives.png")),
            "A walk along the hives",
            Link.to(new Target.Web("https://ambercomb.example/film"))),
        new Part.LinkRow(
            id(17),
            List.of(
                new Part.RowLink("Shop", Link.to(new Target.Web("https://ambercomb.example/shop"))),
                new Part.RowLink("Courses", Link.NOWHERE))),
        new Part.OwnHtml(
            id(18),
            "<p onclick=\"x()\">Own <b>words</b> <a href=\"https://ambercomb.example/own\">here</a></p>"
                + "<script>alert(1)</script>"));
  }

  static Manuscript.Email email(Part... parts) {
    return new Manuscript.Email(
        new OneLine(List.of(Inline.Words.plain("Your planner, "), Inline.Field.plain(FIRST))),
        OneLine.of("Twelve months on two pages"),
        Optional.empty(),
        List.of(parts),
        Optional.empty(),
        StyleChange.NONE);
  }

  static Part.Prose prose(int n, String text) {
    return new Part.Prose(id(n), List.of(Block.paragraph(text)));
  }

  /**
   * @param first their first name; null for none
   * @param member whether they are on the list Members
   */
  record Somebody(@Nullable String first, boolean member) implements Recipient {
    @Override
    public Optional<Operand> value(Source source) {
      return source instanceof Source.FirstName && first != null
          ? Optional.of(new Operand.Words(first))
          : Optional.empty();
    }

    @Override
    public boolean holds(Condition who) {
      return member;
    }

    @Override
    public List<ProductShown> products(Shown which) {
      return List.of(
          new ProductShown(
              "Hive kit",
              "Everything but the bees",
              Optional.of("\u20ac219.00"),
              Optional.empty(),
              "https://ambercomb.example/kit"));
    }

    @Override
    public List<NewsEntry> news() {
      return List.of(
          new NewsEntry("Swarm season", "It begins.", "https://ambercomb.example/news/1"));
    }
  }

  /** Each link leads to a place that says what it is. */
  static final Addresses PLACES =
      new Addresses() {
        @Override
        public String link(Target to, Optional<LinkName> name) {
          String said = name.map(LinkName::value).orElse("").replaceAll("[^A-Za-z]+", "-");
          return "http://127.0.0.1/r/" + to.getClass().getSimpleName() + "/" + said;
        }

        @Override
        public String picture(FileName file, boolean withPlayMark) {
          return "http://127.0.0.1/files/" + file + (withPlayMark ? "?play" : "");
        }

        @Override
        public String daysLeft(Part.Countdown countdown) {
          return "http://127.0.0.1/o/days";
        }

        @Override
        public Optional<String> openMark() {
          return Optional.of("http://127.0.0.1/o/1");
        }
      };
}
