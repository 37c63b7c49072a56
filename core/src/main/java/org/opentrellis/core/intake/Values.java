package org.opentrellis.core.intake;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Dates, numbers and yes or no as the tables of several countries write them. */
final class Values {
  private static final Pattern THREE =
      Pattern.compile("(\\d{1,4})([./-])\\s*(\\d{1,2})\\2\\s*(\\d{1,4})(?:[ T]\\d{1,2}:\\d{2}.*)?");
  private static final List<String> YES =
      List.of("yes", "y", "true", "1", "x", "ja", "j", "oui", "si", "s\u00ed");
  private static final List<String> NO =
      List.of("no", "n", "false", "0", "-", "nein", "nei", "non");

  private Values() {}

  /** Empty if it is no date in that order; a year has four digits. */
  static Optional<LocalDate> date(String typed, DateOrder order) {
    Matcher parts = THREE.matcher(typed);
    if (!parts.matches()) {
      return Optional.empty();
    }
    String a = parts.group(1);
    String b = parts.group(3);
    String c = parts.group(4);
    return switch (order) {
      case YEAR_FIRST -> date(a, b, c);
      case DAY_FIRST -> date(c, b, a);
      case MONTH_FIRST -> date(c, a, b);
    };
  }

  private static Optional<LocalDate> date(String year, String month, String day) {
    if (year.length() != 4 || month.length() > 2 || day.length() > 2) {
      return Optional.empty();
    }
    try {
      return Optional.of(
          LocalDate.of(Integer.parseInt(year), Integer.parseInt(month), Integer.parseInt(day)));
    } catch (DateTimeException none) {
      return Optional.empty();
    }
  }

  /** Empty if it is no number written so. Spaces and apostrophes may part thousands, too. */
  static OptionalDouble number(String typed, DecimalMark decimal) {
    String plain = typed.replaceAll("[\\s\u00A0\u2009\u202F'\u2019]", "");
    String between = Pattern.quote(decimal.between());
    String mark = Pattern.quote(decimal.mark());
    String whole = "[+-]?(?:\\d+|\\d{1,3}(?:" + between + "\\d{3})+)";
    if (!plain.matches(whole + "(?:" + mark + "\\d+)?")) {
      return OptionalDouble.empty();
    }
    return OptionalDouble.of(
        Double.parseDouble(plain.replace(decimal.between(), "").replace(decimal.mark(), ".")));
  }

  /** Empty if it is neither. */
  static Optional<Boolean> yesNo(String typed) {
    String value = typed.toLowerCase(Locale.ROOT);
    return YES.contains(value)
        ? Optional.of(true)
        : NO.contains(value) ? Optional.of(false) : Optional.empty();
  }
}
