package org.opentrellis.core.message;

import java.math.BigDecimal;
import java.text.NumberFormat;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.TextStyle;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.opentrellis.core.account.Regional;
import org.opentrellis.core.journey.Characters;
import org.opentrellis.core.journey.Operand;

/** Fills the fields of a message for one person, by the language and currency of the account. */
public final class Filling {
  private final Recipient recipient;
  private final Regional regional;

  public Filling(Recipient recipient, Regional regional) {
    this.recipient = recipient;
    this.regional = regional;
  }

  /** What stands there for them: one line without control characters; empty for a hole. */
  public String of(MergeField field) {
    return value(field).orElse(field.fallback());
  }

  /** Whether something is known of them there. */
  public boolean knows(MergeField field) {
    return value(field).isPresent();
  }

  private Optional<String> value(MergeField field) {
    return recipient
        .value(field.source())
        .map(value -> inOneLine(written(value, field.format())))
        .filter(text -> !text.isBlank());
  }

  public String of(OneLine line) {
    return of(line.words());
  }

  /** The words of a line, without their marks. */
  public String of(List<Inline> words) {
    return words.stream()
        .map(
            one ->
                switch (one) {
                  case Inline.Words some -> some.text();
                  case Inline.Field field -> of(field.field());
                  case Inline.Break end -> "\n";
                })
        .collect(Collectors.joining());
  }

  private String written(Operand value, Format format) {
    return switch (value) {
      case Operand.Words words -> words(words.text(), format);
      case Operand.Number number -> number(number.number(), format);
      case Operand.Date date -> date(date.date(), format);
      case Operand.Today today -> "";
      case Operand.OtherField other -> "";
    };
  }

  private String words(String text, Format format) {
    if (format != Format.CAPITAL || text.isEmpty()) {
      return text;
    }
    int end = text.offsetByCodePoints(0, 1);
    return text.substring(0, end).toUpperCase(regional.language()) + text.substring(end);
  }

  private String number(double number, Format format) {
    Locale language = regional.language();
    BigDecimal exact = BigDecimal.valueOf(number);
    return switch (format) {
      case AMOUNT -> regional.amount(exact);
      case WHOLE -> NumberFormat.getIntegerInstance(language).format(exact);
      case USUAL, CAPITAL, DAY_AND_MONTH, WEEKDAY ->
          NumberFormat.getInstance(language).format(exact);
    };
  }

  private String date(LocalDate date, Format format) {
    Locale language = regional.language();
    return switch (format) {
      case WEEKDAY -> date.getDayOfWeek().getDisplayName(TextStyle.FULL_STANDALONE, language);
      case DAY_AND_MONTH ->
          DateTimeFormatter.ofLocalizedPattern("MMMMd").withLocale(language).format(date);
      case USUAL, CAPITAL, WHOLE, AMOUNT -> Regional.day(date, language);
    };
  }

  /** What somebody typed about themselves never begins a new line, and never turns the writing. */
  private static String inOneLine(String text) {
    return Characters.refusal(text).isEmpty()
        ? text
        : text.codePoints()
            .filter(point -> Characters.refusal("x" + Character.toString(point)).isEmpty())
            .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
            .toString();
  }
}
