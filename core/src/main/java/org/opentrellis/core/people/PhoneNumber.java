package org.opentrellis.core.people;

import com.google.i18n.phonenumbers.NumberParseException;
import com.google.i18n.phonenumbers.PhoneNumberUtil;
import com.google.i18n.phonenumbers.PhoneNumberUtil.PhoneNumberFormat;
import com.google.i18n.phonenumbers.Phonenumber;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.problem.Refused;

/**
 * A phone number as ITU-T E.164 writes it: a plus, the country's code, and the number, 15 digits at
 * most.
 *
 * @param value such as "+4721234567"
 */
public record PhoneNumber(String value) {
  public PhoneNumber {
    value = checked(value, null);
  }

  /**
   * A number that may be written as people write it within a country.
   *
   * @param country two letters (ISO 3166), such as "NO"
   */
  public static PhoneNumber in(String country, String typed) {
    return new PhoneNumber(checked(typed, country));
  }

  /** Whether there is such a country: two letters, as ISO 3166 has them. */
  public static boolean knows(String country) {
    return PhoneNumberUtil.getInstance().getSupportedRegions().contains(country);
  }

  @Override
  public String toString() {
    return value;
  }

  private static String checked(String typed, @Nullable String country) {
    PhoneNumberUtil numbers = PhoneNumberUtil.getInstance();
    try {
      Phonenumber.PhoneNumber number = numbers.parse(typed, country);
      if (!numbers.isPossibleNumber(number)) {
        throw refused("this is no number of its country: it has too few digits or too many");
      }
      return numbers.format(number, PhoneNumberFormat.E164);
    } catch (NumberParseException wrong) {
      throw refused(
          wrong.getErrorType() == NumberParseException.ErrorType.INVALID_COUNTRY_CODE
              ? "a phone number begins with a plus and the code of its country, such as +47"
              : "a phone number has digits, with spaces between them if you like");
    }
  }

  private static Refused refused(String why) {
    return new Refused("bad-phone", why);
  }
}
