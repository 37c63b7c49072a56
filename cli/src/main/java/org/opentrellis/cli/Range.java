package org.opentrellis.cli;

import java.time.DateTimeException;
import java.time.LocalTime;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.opentrellis.core.search.Leeway;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParameterException;

/** How far something varies, as it is typed: "1..5", "1..5/0.5", "07:00..19:00/60". */
final class Range {
  private static final Pattern FORM =
      Pattern.compile("([\\d.:]+?)\\.\\.([\\d.:]+?)(?:/([\\d.]+))?");

  private final CommandSpec spec;

  Range(CommandSpec spec) {
    this.spec = spec;
  }

  /**
   * @throws ParameterException if it is none, or the kind has no range
   */
  Leeway set(Leeway leeway, String text) {
    Matcher range = FORM.matcher(text);
    if (!range.matches()) {
      throw bad("a range is FROM..TO or FROM..TO/BY, not " + text + ".");
    }
    String from = range.group(1);
    String to = range.group(2);
    String by = range.group(3);
    try {
      return switch (leeway) {
        case Leeway.Length length ->
            new Leeway.Length(
                length.step(),
                Double.parseDouble(from),
                Double.parseDouble(to),
                by == null ? 1 : Double.parseDouble(by));
        case Leeway.Tries tries ->
            new Leeway.Tries(tries.step(), Integer.parseInt(from), Integer.parseInt(to));
        case Leeway.ClockTime time ->
            new Leeway.ClockTime(
                time.step(),
                LocalTime.parse(from),
                LocalTime.parse(to),
                by == null ? 60 : Integer.parseInt(by));
        case Leeway.Weights weights -> throw none(text);
        case Leeway.OnDays days -> throw none(text);
        case Leeway.Order order -> throw none(text);
        case Leeway.Absence absence -> throw none(text);
        case Leeway.Window window -> throw none(text);
        case Leeway.Frequency frequency -> throw none(text);
      };
    } catch (NumberFormatException | DateTimeException unread) {
      throw bad("%s cannot be read: %s.".formatted(text, unread.getMessage()));
    }
  }

  private ParameterException none(String text) {
    return bad("this kind of thing has no range %s; name it without one.".formatted(text));
  }

  private ParameterException bad(String sentence) {
    return new ParameterException(spec.commandLine(), sentence);
  }
}
