package org.opentrellis.mail;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.message.Filling;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.NewsEntry;
import org.opentrellis.core.message.Passages;
import org.opentrellis.core.message.PlainText;
import org.opentrellis.core.message.ProductShown;
import org.opentrellis.core.message.Recipient;
import org.opentrellis.core.message.Shown;
import org.opentrellis.core.message.Source;
import org.opentrellis.core.testing.RandomLetters;

/** Over random letters and people, each with a name that tries to be more than a name. */
@Tag("thorough")
class CorrectForEveryoneTest {
  private static final List<String> NAMES =
      List.of(
          "Mira",
          "<script>alert(1)</script>",
          "\"><img src=x onerror=alert(1)>",
          "O'Brien & Söhne",
          "slot-1-slot",
          "$0 \\1 {first name}",
          "Іван",
          "李小龍",
          "Zoë\r\nBcc: all@example.com");
  private static final Pattern WORD = Pattern.compile("[\\p{L}\\p{N}]+");

  static List<Long> seeds() {
    return IntStream.range(0, 300).mapToObj(Long::valueOf).toList();
  }

  /** Somebody of whom little or much is known. */
  private record Random(@Nullable String name, boolean member, int lines) implements Recipient {
    @Override
    public Optional<Operand> value(Source source) {
      return switch (source) {
        case Source.FirstName first -> words(name);
        case Source.LastName last -> words(name == null ? null : name + " junior");
        case Source.Address address -> words("mira@example.com");
        case Source.OfField field ->
            lines == 0 ? Optional.empty() : Optional.of(new Operand.Number(3));
        case Source.SenderName sender -> words("Ambercomb");
        case Source.AccountName account -> words("Ambercomb");
        case Source.CartTotal cart -> Optional.of(new Operand.Number(219.5));
        case Source.OrderTotal order -> Optional.empty();
        case Source.Today today -> Optional.of(new Operand.Date(LocalDate.of(2027, 3, 14)));
      };
    }

    /** As the database has it: with all that was typed. */
    private static Optional<Operand> words(@Nullable String text) {
      return Optional.ofNullable(text).map(Raw::operand);
    }

    @Override
    public boolean holds(Condition who) {
      return member == who.equals(new Condition.OnList(new ListName("Members")));
    }

    @Override
    public List<ProductShown> products(Shown which) {
      List<ProductShown> some = new ArrayList<>();
      for (int n = 0; n < lines; n++) {
        some.add(
            new ProductShown(
                "Kit <" + n + "> & more", "Words", Optional.of("€1.00"), Optional.empty(), ""));
      }
      return some;
    }

    @Override
    public List<NewsEntry> news() {
      return List.of(new NewsEntry("News <b>", "It & that", "https://ambercomb.example/1"));
    }
  }

  /** A line break cannot be in a value; whoever got it in nevertheless gets it out of nothing. */
  private static final class Raw {
    static Operand operand(String text) {
      return new Operand.Words(text.replace("\r\n", " "));
    }
  }

  private static Random reader(long seed) {
    int n = (int) seed;
    String name = n % 4 == 0 ? null : NAMES.get(n % NAMES.size());
    return new Random(name, n % 3 == 0, n % 4);
  }

  private static String html(Manuscript.Email email, Recipient reader) {
    return LetterPress.print(email, SampleLetters.HEAD, Passages.holding(email, reader))
        .fill(new Filling(reader, SampleLetters.HEAD.regional()), reader, SampleLetters.PLACES);
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void nobodySeesWhatIsNotForThem(long seed) {
    Manuscript.Email email = RandomLetters.email(seed);
    Random reader = reader(seed);
    String html = html(email, reader);
    String plain = PlainText.of(email, SampleLetters.HEAD, reader, SampleLetters.PLACES);
    Document page = Jsoup.parse(html);
    String seen = page.text() + plain;
    if (reader.name() != null) {
      // what they are called is theirs, whatever it looks like
      seen = seen.replace(reader.name().replace("\r\n", " "), "");
    }

    assertThat(seen)
        .as("no field's name, no hole, no slot")
        .doesNotContain("{", "null", "member until", "first name", "cart total")
        .doesNotContainPattern("slot-\\d");
    assertThat(page.select("script, iframe, form, [onerror], [onclick]")).isEmpty();
    assertThat(page.select("img[src=x]")).isEmpty();
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void htmlAndPlainTextSayTheSame(long seed) {
    Manuscript.Email email = RandomLetters.email(seed).withPlain(Optional.empty());
    Random reader = reader(seed);
    assertThat(words(ofHtml(html(email, reader))))
        .containsExactlyElementsOf(
            words(ofPlain(PlainText.of(email, SampleLetters.HEAD, reader, SampleLetters.PLACES))));
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void everyLinkLeadsOverTheRedirect(long seed) {
    Manuscript.Email email = RandomLetters.email(seed);
    Random reader = reader(seed);
    assertThat(Jsoup.parse(html(email, reader)).select("a[href]"))
        .extracting(link -> link.attr("href"))
        .allMatch(address -> address.startsWith("http://127.0.0.1/r/"));
    Matcher address =
        Pattern.compile("https?://[^\\s)]+")
            .matcher(PlainText.of(email, SampleLetters.HEAD, reader, SampleLetters.PLACES));
    while (address.find()) {
      assertThat(address.group()).startsWith("http://127.0.0.1/r/");
    }
  }

  /** What somebody reads, with the words of pictures in their places. */
  private static String ofHtml(String html) {
    Document page = Jsoup.parse(html);
    page.select("div[style*=display:none], title").remove();
    page.select("img").forEach(picture -> picture.before(" " + picture.attr("alt") + " "));
    page.select("p, div, li, td, br, h1, h2, h3, a").forEach(one -> one.after(" "));
    return page.body().text();
  }

  private static String ofPlain(String plain) {
    return plain
        .replaceAll(" ?\\(http://[^)\\s]+\\)", " ")
        .replaceAll(":? http://\\S+", " ")
        .replaceAll("(?m)^http://\\S+", " ")
        .replaceAll("(?m)^\\d+\\.(\\s|$)", " ");
  }

  private static List<String> words(String text) {
    return WORD.matcher(text).results().map(found -> found.group()).toList();
  }

  @Test
  void ownHtmlIsCleanedAndItsLinksAreFollowed() {
    String html = html(SampleLetters.whole(), new SampleLetters.Somebody("Mira", true));
    Document page = Jsoup.parse(html);
    assertThat(page.text()).contains("Own words here").doesNotContain("alert");
    assertThat(page.select("[onclick], script")).isEmpty();
    assertThat(page.select("a:contains(here)").last().attr("href"))
        .isEqualTo("http://127.0.0.1/r/Web/here");
  }

  @Test
  void aPassageIsThereForWhoeverItIsFor() {
    Manuscript.Email email = SampleLetters.whole();
    assertThat(html(email, new SampleLetters.Somebody("Mira", true)))
        .contains("As a member you get")
        .doesNotContain("Members get the frame plans");
    assertThat(html(email, new SampleLetters.Somebody("Mira", false)))
        .doesNotContain("As a member you get")
        .contains("Members get the frame plans");
  }

  @Test
  void whoeverHasNoNameIsCalledOtherwise() {
    assertThat(html(SampleLetters.whole(), new SampleLetters.Somebody(null, false)))
        .contains("Hello keeper,");
  }
}
