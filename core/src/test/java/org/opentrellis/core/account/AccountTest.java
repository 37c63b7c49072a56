package org.opentrellis.core.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Currency;
import java.util.Locale;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.core.people.EmailAddress;
import org.opentrellis.core.problem.Refused;

class AccountTest {
  private static final EmailAddress ADDRESS = new EmailAddress("hello@example.com");

  private static String said(String name) {
    return new Sender(name, ADDRESS, Optional.empty()).said();
  }

  /** RFC 5322, section 3.4: a name that is no row of atoms stands in quotation marks. */
  @ParameterizedTest
  @CsvSource({
    "Mira of Ambercomb, Mira of Ambercomb <hello@example.com>",
    "' Ambercomb, Ltd. ', '\"Ambercomb, Ltd.\" <hello@example.com>'",
    "Bienenkörbe, Bienenkörbe <hello@example.com>",
    "'Say \"bee\"', '\"Say \\\"bee\\\"\" <hello@example.com>'"
  })
  void aSenderIsWrittenAsAMailHasIt(String name, String head) {
    assertThat(said(name)).isEqualTo(head);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "  ", "two\nlines", "turned \u202e round"})
  void noMailHasSuchASender(String name) {
    assertThatThrownBy(() -> said(name)).isInstanceOf(Refused.class);
  }

  @ParameterizedTest
  @CsvSource({
    "21:00, 08:00, 21:00, true",
    "21:00, 08:00, 07:59, true",
    "21:00, 08:00, 08:00, false",
    "21:00, 08:00, 20:59, false",
    "12:00, 14:00, 13:00, true",
    "12:00, 14:00, 14:00, false",
    "12:00, 14:00, 11:59, false"
  })
  void quietHoursMayGoOverMidnight(LocalTime from, LocalTime to, LocalTime at, boolean quiet) {
    assertThat(new QuietHours(from, to).at(at)).isEqualTo(quiet);
  }

  @Test
  void itIsNotQuietForEver() {
    assertThatThrownBy(() -> new QuietHours(LocalTime.NOON, LocalTime.NOON))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("nothing is ever sent");
  }

  /** Forms of the Unicode CLDR; the spaces are its own. */
  @ParameterizedTest
  @CsvSource({
    "en-GB, EUR, 29 November 2026 · €1234.50",
    "en-US, USD, 'November 29, 2026 · $1234.50'",
    "de-DE, EUR, '29. November 2026 · 1234,50 €'",
    "nb-NO, NOK, '29. november 2026 · 1234,50 kr'",
    "ja-JP, JPY, 2026年11月29日 · ￥1234"
  })
  void datesAndAmountsAreWrittenAsAtHome(String language, String currency, String written) {
    Regional regional =
        new Regional(ZoneId.of("UTC"), Regional.language(language), Regional.currency(currency));
    String example = regional.example(LocalDate.parse("2026-11-29"), 1234.5);
    assertThat(example.replaceAll("[\\u00a0\\u202f]", " ").replaceAll("(?<=1)[., ](?=234)", ""))
        .isEqualTo(written);
  }

  @Test
  void whatIsNotThereIsRefused() {
    assertThatThrownBy(() -> Regional.zone("Europe/Atlantis")).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> Regional.language("xx-XX")).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> Regional.language("en_GB!")).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> Regional.currency("EURO")).isInstanceOf(Refused.class);
    assertThat(Regional.currency(" eur ")).isEqualTo(Currency.getInstance("EUR"));
    assertThat(Regional.languages()).contains(Locale.forLanguageTag("en-GB"));
  }
}
