package org.opentrellis.core.message;

import java.util.regex.Pattern;
import org.opentrellis.core.account.Regional;

/** What a voucher says, in one sentence that is the same everywhere. */
public final class VoucherWords {
  /** What is a percentage or an amount is off; what is given along is said as it is. */
  private static final Pattern FIGURE = Pattern.compile("\\D{0,4}\\d[\\d.,]*\\D{0,4}");

  private VoucherWords() {}

  /** "SPRING: 15% off until 30 November 2026". */
  static String of(Part.Voucher voucher, Regional regional) {
    String terms = terms(voucher, regional);
    return terms.isEmpty() ? voucher.code() : voucher.code() + ": " + terms;
  }

  /** "15% off until 30 November 2026", as far as it is said. */
  public static String terms(Part.Voucher voucher, Regional regional) {
    String worth =
        FIGURE.matcher(voucher.worth()).matches() ? voucher.worth() + " off" : voucher.worth();
    String until =
        voucher.until().map(day -> "until " + Regional.day(day, regional.language())).orElse("");
    return (worth + " " + until).strip();
  }
}
