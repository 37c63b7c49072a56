package org.opentrellis.core.check;

import java.util.Locale;
import java.util.Optional;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.problem.Severity;

/** Makes findings in few words. */
final class Findings {
  private Findings() {}

  static Finding error(String code, StepId step, String sentence) {
    return new Finding(code, Severity.ERROR, Optional.of(step), sentence, Optional.empty());
  }

  static Finding warning(String code, StepId step, String sentence) {
    return new Finding(code, Severity.WARNING, Optional.of(step), sentence, Optional.empty());
  }

  static Finding error(String code, String sentence) {
    return new Finding(code, Severity.ERROR, Optional.empty(), sentence, Optional.empty());
  }

  static Finding warning(String code, String sentence) {
    return new Finding(code, Severity.WARNING, Optional.empty(), sentence, Optional.empty());
  }

  /** The finding with a way to mend it. */
  static Finding fixedBy(Finding finding, String label, Journey mended) {
    return new Finding(
        finding.code(),
        finding.severity(),
        finding.step(),
        finding.sentence(),
        Optional.of(new Finding.Fix(label, mended)));
  }

  static String percent(double share) {
    return String.format(Locale.ROOT, "%.0f%%", share * 100);
  }

  /** "about 3 hours", "at the moment". */
  static String hours(double hours) {
    if (hours <= 0) {
      return "at the moment";
    }
    if (hours < 1) {
      long minutes = Math.max(1, Math.round(hours * 60));
      return minutes == 1 ? "about 1 minute" : "about " + minutes + " minutes";
    }
    double tenths = Math.rint(hours * 10) / 10;
    return "about " + number(tenths) + (tenths == 1 ? " hour" : " hours");
  }

  /** "1 day", "12 days". */
  static String days(double days) {
    long whole = Math.round(days);
    return whole == 1 ? "1 day" : whole + " days";
  }

  static Finding note(String code, String sentence) {
    return new Finding(code, Severity.NOTE, Optional.empty(), sentence, Optional.empty());
  }

  /** Without decimals where there are none. */
  static String number(double value) {
    return value == Math.rint(value) ? Long.toString((long) value) : Double.toString(value);
  }
}
