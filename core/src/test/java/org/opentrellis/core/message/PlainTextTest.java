package org.opentrellis.core.message;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.account.Regional;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.reading.KnownNames;
import org.opentrellis.core.reading.ManuscriptReader;
import org.opentrellis.core.reading.PartReader;
import org.opentrellis.core.sentence.ManuscriptText;

class PlainTextTest {
  private static final Regional REGIONAL =
      new Regional(ZoneId.of("Europe/Berlin"), Locale.UK, Currency.getInstance("EUR"));
  private static final Letterhead HEAD =
      new Letterhead("Ambercomb", "Hive Lane 3", REGIONAL, HouseStyle.USUAL);
  private static final PartReader PARTS =
      new PartReader(
          Catalogue.EMPTY,
          KnownNames.of(Map.of("ListName", List.of("Members"))),
          List.of(),
          List.of(),
          LocalDate.of(2026, 11, 20));
  private static final String LETTER =
      """
      Subject: Your planner
      Hello {first name, or keeper}, here it is.
      passage if they are on list “Members”
        You get the frame plans, too.
      otherwise
        Members get the frame plans.
      button “Open it, {first name, or keeper}” to file “hive-planner.pdf”
      rule
      picture “hives.png” words “Three pale hives”
      voucher “SPRING” “15%” until 2026-11-30
      products from the cart at most 3
      """;

  /** Somebody of whom at most the first name is known. */
  private record Somebody(Optional<String> name, boolean member) implements Recipient {
    @Override
    public Optional<Operand> value(Source source) {
      return source instanceof Source.FirstName ? name.map(Operand.Words::new) : Optional.empty();
    }

    @Override
    public boolean holds(Condition who) {
      return member;
    }

    @Override
    public List<ProductShown> products(Shown which) {
      return List.of(
          new ProductShown("Smoker", "Of steel", Optional.of("\u20ac30.00"), Optional.empty(), ""));
    }

    @Override
    public List<NewsEntry> news() {
      return List.of();
    }
  }

  private static Manuscript.Email email(String text) {
    return ManuscriptReader.read(text, PARTS).email();
  }

  private static String plain(Manuscript.Email email, Recipient somebody) {
    LinkAddresses places = (to, name) -> "/r/" + name.map(LinkName::value).orElse("x");
    return PlainText.of(email, HEAD, somebody, places);
  }

  @Test
  void thePartsAreSaidInTheirOrder() {
    assertThat(plain(email(LETTER), new Somebody(Optional.of("Ida"), true)))
        .startsWith(
            """
            Hello Ida, here it is.

            You get the frame plans, too.

            Open it, Ida: /r/Open it, keeper

            - - -

            Three pale hives

            SPRING: 15% off until 30 November 2026

            Smoker, \u20ac30.00
            Of steel

            --
            """);
  }

  /** Not the text that one person got: everybody keeps their own name and links. */
  @Test
  void whatIsWrittenByHandBeginsWithFieldsAndLinks() {
    Manuscript.Email email = email(LETTER);
    Manuscript.Email byHand = email.withPlain(Optional.of(PlainBegun.of(email, REGIONAL)));
    assertThat(plain(byHand, new Somebody(Optional.empty(), true)))
        .startsWith(
            """
            Hello keeper, here it is.

            Members get the frame plans.

            Open it, keeper (/r/Open it, keeper)

            Three pale hives

            SPRING: 15% off until 30 November 2026

            --
            """);
    assertThat(plain(byHand, new Somebody(Optional.of("Ida"), true)))
        .contains("Hello Ida", "Open it, Ida (");
  }

  @Test
  void whatIsWrittenByHandIsLookedThroughAndKept() {
    Manuscript.Email email =
        email(
            LETTER
                + "plain text\n"
                + "  Dear {last name}, read [what comes](https://ambercomb.example).\n"
                + "  - Two points\n");
    assertThat(FieldsIn.of(email).map(one -> one.field().source())).contains(new Source.LastName());
    assertThat(LinksIn.names(email)).contains(new LinkName("what comes"));
    List<String> printed = ManuscriptText.of(email, Catalogue.EMPTY);
    assertThat(printed).contains("plain text").last().isEqualTo("  - Two points");
    assertThat(email(String.join("\n", printed))).isEqualTo(email);
  }
}
