package org.opentrellis.app.people;

import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Characters;
import org.opentrellis.core.people.PhoneNumber;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;

/** Reads what a user has given of a person, and collects all that is wrong with it. */
final class Given {
  static final int LONGEST_NAME = 80;

  private final List<Problem> problems = new ArrayList<>();

  /** The value that is read, or another one where it is refused. */
  <T extends @Nullable Object> T read(String place, Supplier<T> reading, T instead) {
    try {
      return reading.get();
    } catch (Refused refused) {
      problem(refused.code(), place, refused.sentence());
      return instead;
    }
  }

  void problem(String code, String place, String sentence) {
    problems.add(new Problem(code, place, sentence));
  }

  boolean isRight() {
    return problems.isEmpty();
  }

  /**
   * @throws ProblemsFound with all of them, if there are any
   */
  void requireRight() {
    if (!isRight()) {
      throw new ProblemsFound(problems);
    }
  }

  /** Null if nothing is given. */
  @Nullable String text(String place, String what, @Nullable String given, int most) {
    if (given == null || given.isBlank()) {
      return null;
    }
    return read(place, () -> checked(what, given.strip(), most), "");
  }

  @Nullable String phone(@Nullable String given) {
    if (given == null || given.isBlank()) {
      return null;
    }
    return read("/phone", () -> new PhoneNumber(given).value(), "");
  }

  String zone(String given) {
    return read("/zone", () -> known(given), "UTC");
  }

  private static String known(String zone) {
    try {
      return ZoneId.of(zone).getId();
    } catch (DateTimeException unknown) {
      throw new Refused("a time zone is written like Europe/Berlin");
    }
  }

  private static String checked(String what, String given, int most) {
    if (given.length() > most) {
      throw new Refused(
          "%s has at most %d characters, not %d".formatted(what, most, given.length()));
    }
    Characters.refusal(given)
        .ifPresent(
            wrong -> {
              throw new Refused(what + " " + wrong);
            });
    return given;
  }
}
