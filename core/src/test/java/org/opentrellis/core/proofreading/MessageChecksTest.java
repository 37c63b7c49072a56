package org.opentrellis.core.proofreading;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Currency;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.opentrellis.core.account.Regional;
import org.opentrellis.core.account.Texting;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FileName;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.PartId;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.message.Colour;
import org.opentrellis.core.message.HouseStyle;
import org.opentrellis.core.message.Letterhead;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.OneLine;
import org.opentrellis.core.message.Part;
import org.opentrellis.core.message.StyleChange;
import org.opentrellis.core.problem.Severity;
import org.opentrellis.core.reading.KnownNames;
import org.opentrellis.core.reading.ManuscriptReader;
import org.opentrellis.core.reading.PartReader;

/**
 * Each check fires on what breaks its rule, is silent on what keeps it, and mends what it offers
 * to.
 */
class MessageChecksTest {
  private static final Texting TEXTING = new Texting("+447700900123", "STOP");
  private static final LocalDate TODAY = LocalDate.of(2026, 11, 20);
  private static final PartReader PARTS =
      new PartReader(
          Catalogue.EMPTY,
          KnownNames.of(Map.of("ProductName", List.of("Smoker", "Hive kit"))),
          List.of(),
          List.of(),
          TODAY);
  private static final String GOOD =
      """
      Subject: Your planner, {first name, or keeper}
      Preview text: Twelve months on two pages
      Hello {first name, or there}, here it is.
      picture "hives.png" words "Three hives"
      button "Open the planner" to file "planner.pdf"
      """;

  private static Manuscript.Email email(String text) {
    return ManuscriptReader.read(text, PARTS).email();
  }

  private static Manuscript text(String words) {
    return new Manuscript.Text(OneLine.of(words), false, List.of());
  }

  private static Letterhead head(String address) {
    return new Letterhead(
        "Ambercomb",
        address,
        new Regional(ZoneId.of("Europe/Berlin"), Locale.UK, Currency.getInstance("EUR")),
        HouseStyle.USUAL);
  }

  /** What is around a message: all as it should be, unless a case says otherwise. */
  private record Around(
      String address,
      List<String> senders,
      long heavy,
      List<String> lately,
      List<AskedLink> asked,
      int bytes,
      Texting texting) {
    static final Around FINE =
        new Around(
            "Hive Lane 3", List.of("mira@example.com"), 40_000, List.of(), List.of(), 20_000);

    Around(
        String address,
        List<String> senders,
        long heavy,
        List<String> lately,
        List<AskedLink> asked,
        int bytes) {
      this(address, senders, heavy, lately, asked, bytes, TEXTING);
    }

    Around texting(String sender, String stop) {
      return new Around(address, senders, heavy, lately, asked, bytes, new Texting(sender, stop));
    }

    Proofreading of(Manuscript manuscript) {
      String words = manuscript instanceof Manuscript.Text text ? text.words().typed() : "";
      return new Proofreading(
          new MessageId("m"),
          manuscript,
          head(address),
          senders,
          Map.of(
              new FileName("hives.png"), new KnownFile(true, heavy),
              new FileName("planner.pdf"), new KnownFile(false, 90_000)),
          Set.of(new ProductName("Smoker")),
          Set.of(),
          lately,
          asked,
          OptionalInt.of(bytes),
          Optional.of(0.07),
          texting,
          texting.ended(words),
          TODAY);
    }
  }

  /**
   * @param says what its sentence begins with
   * @param mends whether it offers to mend it
   */
  private record Case(
      String code,
      Severity severity,
      Manuscript broken,
      Around around,
      String says,
      boolean mends) {
    @Override
    public String toString() {
      return code + ": " + says;
    }
  }

  private static Case error(String code, String text, String says, boolean mends) {
    return new Case(code, Severity.ERROR, email(text), Around.FINE, says, mends);
  }

  private static Case warning(String code, String text, String says, boolean mends) {
    return new Case(code, Severity.WARNING, email(text), Around.FINE, says, mends);
  }

  private static Case around(String code, Severity severity, Around around, String says) {
    return new Case(code, severity, email(GOOD), around, says, false);
  }

  private static String with(String line) {
    return GOOD + line + "\n";
  }

  private static Manuscript.Email passage(Condition who) {
    Part.Passage passage =
        new Part.Passage(new PartId("q1"), who, email("Only for some.\n").parts(), List.of());
    return email("Subject: One\nPreview text: Two\n").with(List.of(passage));
  }

  private static Manuscript.Email pale() {
    Optional<Colour> pale = Optional.of(new Colour("#CCCCCC"));
    return email(GOOD)
        .withStyle(
            new StyleChange(
                Optional.empty(),
                Optional.empty(),
                pale,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty()));
  }

  static Stream<Case> cases() {
    Around fine = Around.FINE;
    return Stream.of(
        error("nothing-in-it", "Subject: One\nPreview text: Two\n", "Nothing is written", false),
        error("subject", GOOD.replaceFirst("Subject:.*", ""), "There is no subject", false),
        warning(
            "subject",
            GOOD.replaceFirst("Subject:.*", "Subject: " + "x y ".repeat(11)),
            "The subject has 43 characters; a phone shows some 40",
            false),
        warning(
            "preview-text", GOOD.replaceFirst("Preview.*", ""), "There is no preview text", true),
        warning(
            "preview-text",
            GOOD.replaceFirst("Preview.*", "Preview text: " + "ab ".repeat(31)),
            "The preview text has 92 characters",
            false),
        error(
            "no-fallback",
            GOOD.replace("{first name, or there}", "{first name}"),
            "Whoever has no first name sees a hole: say",
            true),
        error(
            "no-fallback",
            GOOD.replace("{first name, or keeper}", "{first name}"),
            "Whoever has no first name sees a hole above the letter",
            true),
        error("link-leads-nowhere", with("button \"Go\""), "“Go” leads nowhere", false),
        error(
            "link-leads-nowhere",
            with("button \"Go\" to file \"gone.pdf\""),
            "“Go” leads to the file “gone.pdf”, which is not there",
            false),
        warning(
            "link-leads-nowhere",
            with("button \"Go\" to http://localhost:8350/shop"),
            "“Go” leads to http://localhost:8350/shop, which is whatever machine",
            false),
        error(
            "picture-missing",
            GOOD.replace("hives.png", "gone.png"),
            "The picture “gone.png” is not there any more",
            true),
        error("picture-missing", with("picture"), "No picture is chosen", true),
        warning(
            "picture-without-words",
            with("picture \"hives.png\""),
            "The picture has no words",
            true),
        warning(
            "picture-without-words",
            with("film \"hives.png\" to https://ambercomb.example"),
            "The picture has no words",
            true),
        error("product-gone", with("products \"Hive kit\""), "The shop sells no “Hive kit”", true),
        error(
            "voucher-over",
            with("voucher \"SPRING\" \"15%\" until 2026-11-19"),
            "The voucher ended on 2026-11-19",
            true),
        error(
            "voucher-without-code", with("voucher \"\" \"15%\""), "The voucher has no code", false),
        error(
            "countdown-over",
            with("countdown to 2026-11-01 18:00 words \"Over\""),
            "The countdown ended on 2026-11-01",
            false),
        error("countdown-over", with("countdown"), "The countdown leads to no moment", false),
        error(
            "countdown-over",
            with("countdown to 2026-12-01 18:00"),
            "The countdown has no words",
            false),
        new Case(
            "passage-unknowable",
            Severity.ERROR,
            passage(new Condition.CameByForm(new FormName("Market"))),
            fine,
            "What this passage asks is known only within a journey",
            false),
        new Case(
            "passage-for-all",
            Severity.WARNING,
            passage(new Condition.All(List.of())),
            fine,
            "Nothing is asked for this passage",
            true),
        new Case(
            "hard-to-read",
            Severity.WARNING,
            pale(),
            fine,
            "Text on paper: 1.6 to 1, which is too little: 4.5 is the least",
            true),
        warning("words-left-in", with("Dear [name], hello."), "“[name]” in it looks like", true),
        warning("words-left-in", with("TODO: the price"), "“TODO” in it looks like", false),
        warning(
            "links-of-one-name",
            with("button \"Open the planner\" to https://ambercomb.example"),
            "Two links are called “Open the planner”",
            false),
        new Case(
            "speaks-of-attachment",
            Severity.WARNING,
            email("Subject: One\nPreview text: Two\nYou find the planner attached.\n"),
            fine,
            "It speaks of something attached",
            false),
        new Case(
            "news-in-issues-only",
            Severity.NOTE,
            email(with("news at most 5")),
            fine,
            "The list of news is filled when this goes out on a rhythm",
            false),
        warning(
            "html-with-scripts",
            with("html <p onclick=\"x()\">Own</p><script>y()</script>"),
            "The own HTML holds script, onclick",
            true),
        new Case(
            "several-segments",
            Severity.WARNING,
            text("a".repeat(161)),
            fine,
            "With the longest values it has 166 characters and goes in 2 segments: \u20ac0.14 instead of \u20ac0.07 each",
            false),
        new Case(
            "how-to-stop",
            Severity.ERROR,
            text("Frost tonight"),
            fine.texting("", "Answer STOP"),
            "Nobody is there to send it",
            false),
        new Case(
            "how-to-stop",
            Severity.ERROR,
            text("Frost tonight"),
            fine.texting("Ambercomb", ""),
            "Nothing says how to get no more texts",
            false),
        new Case(
            "how-to-stop",
            Severity.ERROR,
            text("Frost tonight"),
            fine.texting("Ambercomb", "Answer STOP"),
            "Nobody can answer \u201cAmbercomb\u201d, which is no number",
            false),
        error(
            "button-without-words",
            with("button \" \" to their cart"),
            "Nothing stands on the button",
            true),
        new Case(
            "who-writes",
            Severity.ERROR,
            email("From: gone@example.com\n" + GOOD),
            fine,
            "It comes from gone@example.com, who is no sender",
            true),
        around(
            "who-writes",
            Severity.ERROR,
            new Around(" ", fine.senders, 1, List.of(), List.of(), 1),
            "Below the letter stands no postal address"),
        around(
            "who-writes",
            Severity.ERROR,
            new Around("Hive Lane", List.of(), 1, List.of(), List.of(), 1),
            "Nobody is there to send it"),
        around(
            "picture-too-heavy",
            Severity.WARNING,
            new Around("Hive Lane", fine.senders, 300_001, List.of(), List.of(), 1),
            "The picture has 300 kB"),
        around(
            "same-subject",
            Severity.WARNING,
            new Around(
                "Hive Lane",
                fine.senders,
                1,
                List.of("Another", "your planner, KEEPER"),
                List.of(),
                1),
            "One of the last 2 emails has this subject"),
        around(
            "too-large",
            Severity.WARNING,
            new Around("Hive Lane", fine.senders, 1, List.of(), List.of(), 100_001),
            "It has 100 kB of HTML"),
        new Case(
            "asked-link-gone",
            Severity.ERROR,
            email(GOOD),
            new Around(
                "Hive Lane",
                fine.senders,
                1,
                List.of(),
                List.of(new AskedLink("First frames", new LinkName("Hive kits"))),
                1),
            "The journey “First frames” asks who clicks “Hive kits”",
            true));
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("cases")
  void fires(Case one) {
    List<MessageFinding> found =
        MessageChecks.run(one.around.of(one.broken)).stream()
            .filter(finding -> finding.code().equals(one.code))
            .toList();
    assertThat(found).as(one.code).isNotEmpty();
    assertThat(found.getFirst().sentence()).startsWith(one.says).endsWith(".");
    assertThat(found.getFirst().severity()).isEqualTo(one.severity);
    assertThat(found.getFirst().fix().isPresent()).isEqualTo(one.mends);
  }

  /** What is mended is gone, and nothing that forbids has come in its place. */
  @ParameterizedTest(name = "{0}")
  @MethodSource("cases")
  void mends(Case one) {
    List<MessageFinding> before = MessageChecks.run(one.around.of(one.broken));
    for (MessageFinding finding : before) {
      if (finding.fix().isPresent() && finding.code().equals(one.code)) {
        List<MessageFinding> after = MessageChecks.run(one.around.of(finding.fix().get().mended()));
        assertThat(after).extracting(MessageFinding::sentence).doesNotContain(finding.sentence());
        assertThat(errors(after))
            .as("a button that leads nowhere yet is all that a mend may bring")
            .allMatch(code -> code.equals("link-leads-nowhere") || errors(before).contains(code));
      }
    }
  }

  private static List<String> errors(List<MessageFinding> findings) {
    return findings.stream()
        .filter(one -> one.severity() == Severity.ERROR)
        .map(MessageFinding::code)
        .toList();
  }

  @Test
  void aGoodLetterHasNoFindings() {
    assertThat(MessageChecks.run(Around.FINE.of(email(GOOD)))).isEmpty();
    assertThat(MessageChecks.run(Around.FINE.of(text("a".repeat(155))))).isEmpty();
    assertThat(
            MessageChecks.run(
                Around.FINE.of(
                    email(
                        with(
                            "voucher \"SPRING\" \"15%\" until 2026-11-20\n"
                                + "products \"Smoker\"\nlinks \"Shop\" to https://ambercomb.example\n"
                                + "countdown to 2026-11-20 18:00 words \"It ends today\"\n"
                                + "html <p>Own <b>words</b></p>")))))
        .isEmpty();
  }

  @Test
  void everyCheckHasACase() {
    Set<String> fired = new HashSet<>();
    cases()
        .forEach(
            one ->
                MessageChecks.all().stream()
                    .filter(check -> !check.look(one.around.of(one.broken)).isEmpty())
                    .forEach(check -> fired.add(check.getClass().getSimpleName())));
    assertThat(fired)
        .containsExactlyInAnyOrderElementsOf(
            MessageChecks.all().stream().map(check -> check.getClass().getSimpleName()).toList());
  }
}
