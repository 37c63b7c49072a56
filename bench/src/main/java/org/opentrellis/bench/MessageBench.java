package org.opentrellis.bench;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import org.opentrellis.core.account.Regional;
import org.opentrellis.core.account.Sender;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FileName;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.message.Filling;
import org.opentrellis.core.message.HouseStyle;
import org.opentrellis.core.message.Letterhead;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.NewsEntry;
import org.opentrellis.core.message.Part;
import org.opentrellis.core.message.Passages;
import org.opentrellis.core.message.PlainText;
import org.opentrellis.core.message.ProductShown;
import org.opentrellis.core.message.Recipient;
import org.opentrellis.core.message.Shown;
import org.opentrellis.core.message.Source;
import org.opentrellis.core.message.Target;
import org.opentrellis.core.people.EmailAddress;
import org.opentrellis.core.reading.KnownNames;
import org.opentrellis.core.reading.ManuscriptReader;
import org.opentrellis.core.reading.PartReader;
import org.opentrellis.mail.Addresses;
import org.opentrellis.mail.Letter;
import org.opentrellis.mail.LetterPress;
import org.opentrellis.mail.MimeWriter;
import org.opentrellis.mail.Template;

/** Prints how fast a letter is made for looking at, and for each of many people. */
public final class MessageBench {
  private static final int WARMING = 300;
  private static final int ROUNDS = 101;
  private static final int PEOPLE = 20_000;

  private static final String LETTER =
      """
      Subject: Your hive planner, {first name, or keeper}
      Preview text: Twelve months on two pages, and the first thing to do this week
      picture "hives.png" words "Three pale hives in clover"
      Hello {first name, or there}, here is the planner you asked for. Print it, hang it where you keep your smoker.
      button "Open the planner" to file "hive-planner.pdf"
      passage if they are on list "Members"
        As a member you get the frame plans, too: they are on page two.
      two columns
      column
        ## In spring
        Look for eggs once, not for the queen twice.
      column
        ## In autumn
        Weigh before you feed.
      rule
      Look at our [Hive kits](https://ambercomb.example/shop/hives) before you choose.
      links "At the stand" to https://ambercomb.example/stand, "Courses" to https://ambercomb.example/courses
      """;

  private static final Letterhead HEAD =
      new Letterhead(
          "Ambercomb",
          "Hive Lane 3\n01234 Combton",
          new Regional(ZoneId.of("Europe/Berlin"), Locale.UK, Currency.getInstance("EUR")),
          HouseStyle.USUAL);

  private final Manuscript.Email email =
      ManuscriptReader.read(
              LETTER,
              new PartReader(
                  Catalogue.EMPTY, KnownNames.of(Map.of()), List.of(), List.of(), LocalDate.EPOCH))
          .email();

  private MessageBench() {}

  public static void main(String[] arguments) {
    MessageBench bench = new MessageBench();
    System.out.printf(
        "%nOne letter of %d parts; java %s, one thread%n%n",
        bench.email.allParts().count(), System.getProperty("java.version"));
    bench.proof();
    bench.sending();
  }

  private void proof() {
    Supplier<String> proof =
        () -> {
          Somebody reader = new Somebody(1);
          return LetterPress.proof(email, HEAD, Passages.holding(email, reader), false)
                  .fill(new Filling(reader, HEAD.regional()), reader, new Places())
              + PlainText.of(email, HEAD, reader, new Places());
        };
    for (int i = 0; i < WARMING; i++) {
      proof.get();
    }
    double[] millis = new double[ROUNDS];
    for (int i = 0; i < ROUNDS; i++) {
      long began = System.nanoTime();
      proof.get();
      millis[i] = (System.nanoTime() - began) / 1e6;
    }
    Arrays.sort(millis);
    System.out.printf(
        "a proof, made anew: %.1f ms the middle one, %.1f ms the slowest of %d%n",
        millis[ROUNDS / 2], millis[ROUNDS - 1], ROUNDS);
  }

  private void sending() {
    Template member = LetterPress.print(email, HEAD, Passages.holding(email, new Somebody(0)));
    Template other = LetterPress.print(email, HEAD, Set.of());
    measure("HTML", n -> html(n, member, other).length());
    measure("HTML and plain text", n -> html(n, member, other).length() + plain(n).length());
    measure("a whole mail in MIME", n -> mail(n, member, other).length);
  }

  private interface Work {
    int of(int person);
  }

  private static void measure(String what, Work work) {
    long bytes = 0;
    for (int n = 0; n < PEOPLE / 4; n++) {
      bytes += work.of(n);
    }
    long began = System.nanoTime();
    for (int n = 0; n < PEOPLE; n++) {
      bytes += work.of(n);
    }
    double seconds = (System.nanoTime() - began) / 1e9;
    System.out.printf(
        Locale.ROOT,
        "%s: %,.0f people a second (%d of them, %,d kB)%n",
        what,
        PEOPLE / seconds,
        PEOPLE,
        bytes / 1000);
  }

  private static String html(int n, Template member, Template other) {
    Somebody reader = new Somebody(n);
    return (n % 3 == 0 ? member : other)
        .fill(new Filling(reader, HEAD.regional()), reader, new Places());
  }

  private String plain(int n) {
    return PlainText.of(email, HEAD, new Somebody(n), new Places());
  }

  private byte[] mail(int n, Template member, Template other) {
    return MimeWriter.write(
        new Letter(
            new Sender("Mira", new EmailAddress("mira@example.com"), Optional.empty()),
            new EmailAddress("keeper" + n + "@example.com"),
            "Keeper " + n,
            new Filling(new Somebody(n), HEAD.regional()).of(email.subject()),
            n + "@example.com",
            Instant.EPOCH,
            html(n, member, other),
            plain(n),
            Optional.of("https://example.com/u/" + n)));
  }

  private record Somebody(int number) implements Recipient {
    @Override
    public Optional<Operand> value(Source source) {
      return source instanceof Source.FirstName && number % 10 > 0
          ? Optional.of(new Operand.Words("Keeper & " + number))
          : Optional.empty();
    }

    @Override
    public boolean holds(Condition who) {
      return number % 3 == 0;
    }

    @Override
    public List<ProductShown> products(Shown which) {
      return List.of();
    }

    @Override
    public List<NewsEntry> news() {
      return List.of();
    }
  }

  private static final class Places implements Addresses {
    private int links;

    @Override
    public String link(Target to, Optional<LinkName> name) {
      return "https://example.com/r/0123456789abcdefghijkl/" + links++;
    }

    @Override
    public String picture(FileName file, boolean withPlayMark) {
      return "https://example.com/files/" + file;
    }

    @Override
    public String daysLeft(Part.Countdown countdown) {
      return "https://example.com/o/days-left";
    }

    @Override
    public Optional<String> openMark() {
      return Optional.of("https://example.com/o/0123456789abcdefghijkl");
    }
  }
}
