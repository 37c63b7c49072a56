package org.opentrellis.core.account;

import java.math.BigDecimal;
import java.text.NumberFormat;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.FormatStyle;
import java.util.Currency;
import java.util.IllformedLocaleException;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.opentrellis.core.problem.Refused;

/**
 * Where an account is at home: the zone of those of whom none is known, how it writes dates and
 * amounts. Names and forms are those of the Unicode CLDR, as Java has them.
 */
public record Regional(ZoneId zone, Locale language, Currency currency) {
  private static final Set<String> LANGUAGES =
      Stream.of(Locale.getAvailableLocales())
          .filter(one -> one.getVariant().isEmpty() && one.getScript().isEmpty())
          .filter(one -> one.getExtensionKeys().isEmpty())
          .filter(one -> one.getCountry().isEmpty() || one.getCountry().length() == 2)
          .map(Locale::toLanguageTag)
          .filter(tag -> !tag.equals("und"))
          .collect(Collectors.toUnmodifiableSet());

  /**
   * @throws Refused if there is no such zone
   */
  public static ZoneId zone(String name) {
    try {
      return ZoneId.of(name.strip());
    } catch (DateTimeException unknown) {
      throw new Refused("there is no time zone of that name; one is called Europe/Berlin");
    }
  }

  /**
   * @param tag a language tag (BCP 47)
   * @throws Refused if nothing is known of how dates are written in it
   */
  public static Locale language(String tag) {
    try {
      Locale language = new Locale.Builder().setLanguageTag(tag.strip()).build();
      if (LANGUAGES.contains(language.toLanguageTag())) {
        return language;
      }
    } catch (IllformedLocaleException wrong) {
      // it is none
    }
    throw new Refused("there is no language of that name; one is called en-GB");
  }

  /**
   * @param code three letters (ISO 4217)
   * @throws Refused if there is no such currency
   */
  public static Currency currency(String code) {
    try {
      return Currency.getInstance(code.strip().toUpperCase(Locale.ROOT));
    } catch (IllegalArgumentException unknown) {
      throw new Refused("a currency is three letters, such as EUR");
    }
  }

  /** The languages that there are, by their English names. */
  public static List<Locale> languages() {
    return LANGUAGES.stream()
        .map(Locale::forLanguageTag)
        .sorted(
            (a, b) -> a.getDisplayName(Locale.ENGLISH).compareTo(b.getDisplayName(Locale.ENGLISH)))
        .toList();
  }

  /** A day and an amount as they are written there. */
  public String example(LocalDate day, double amount) {
    return day(day, language) + " · " + amount(BigDecimal.valueOf(amount));
  }

  /** An amount as it is written there. */
  public String amount(BigDecimal amount) {
    return money().format(amount);
  }

  /** The same, with parts of the smallest coin: what little things cost each. */
  public String price(double amount) {
    NumberFormat money = money();
    money.setMaximumFractionDigits(money.getMinimumFractionDigits() + 2);
    return money.format(amount);
  }

  private NumberFormat money() {
    NumberFormat money = NumberFormat.getCurrencyInstance(language);
    money.setCurrency(currency);
    return money;
  }

  /** A day as it is written in a language. */
  public static String day(LocalDate day, Locale language) {
    return DateTimeFormatter.ofLocalizedDate(FormatStyle.LONG).withLocale(language).format(day);
  }
}
