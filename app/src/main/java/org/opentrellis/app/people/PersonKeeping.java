package org.opentrellis.app.people;

import java.time.Clock;
import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.storage.AgainIfTaken;
import org.opentrellis.core.journey.Characters;
import org.opentrellis.core.people.EmailAddress;
import org.opentrellis.core.people.Mailing;
import org.opentrellis.core.people.PhoneNumber;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Adds people; each change of a record is a happening of theirs. */
@Service
@Transactional
class PersonKeeping {
  private static final int LONGEST_NAME = 80;
  private static final int LONGEST_HOW = 200;

  private final PeopleMapper mapper;
  private final People people;
  private final Clock clock;

  PersonKeeping(PeopleMapper mapper, People people, Clock clock) {
    this.mapper = mapper;
    this.people = people;
    this.clock = clock;
  }

  /**
   * @throws ProblemsFound if something is not right, all of it at once
   */
  @AgainIfTaken
  PersonView add(NewPerson given) {
    long now = clock.instant().getEpochSecond();
    List<Problem> problems = new ArrayList<>();
    String address =
        read(problems, "/address", () -> new EmailAddress(given.address()).value(), "");
    String agreed = text(problems, "/agreed", "what you note", given.agreed(), LONGEST_HOW);
    PersonRow row =
        new PersonRow(
            0,
            address,
            text(problems, "/firstName", "a first name", given.firstName(), LONGEST_NAME),
            text(problems, "/lastName", "a last name", given.lastName(), LONGEST_NAME),
            phone(problems, given.phone()),
            read(problems, "/zone", () -> zone(given.zone()), "UTC"),
            agreed == null ? Mailing.NOT_CONFIRMED : Mailing.MAY_BE_MAILED,
            now,
            agreed == null ? "added by hand, nothing agreed to" : agreed,
            null,
            false,
            "by hand",
            now,
            1);
    if (problems.isEmpty() && mapper.numberOf(row.addressKey()).isPresent()) {
      problems.add(
          new Problem("address-taken", "/address", "Somebody with this address is there already."));
    }
    if (!problems.isEmpty()) {
      throw new ProblemsFound(problems);
    }
    mapper.insert(row, row.addressKey(), row.nameKey());
    long id = mapper.numberOf(row.addressKey()).orElseThrow();
    mapper.insertHappening(
        id,
        now,
        "ADDED",
        agreed == null
            ? "Was added by hand; nothing may be sent before they agree."
            : "Was added by hand; agreed to email: " + agreed + ".");
    return people.view(id);
  }

  private static @Nullable String phone(List<Problem> problems, @Nullable String given) {
    if (given == null || given.isBlank()) {
      return null;
    }
    return read(problems, "/phone", () -> new PhoneNumber(given).value(), "");
  }

  private static @Nullable String text(
      List<Problem> problems, String place, String what, @Nullable String given, int most) {
    if (given == null || given.isBlank()) {
      return null;
    }
    return read(problems, place, () -> checked(what, given.strip(), most), "");
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

  private static String zone(String given) {
    try {
      return ZoneId.of(given).getId();
    } catch (DateTimeException unknown) {
      throw new Refused("a time zone is written like Europe/Berlin");
    }
  }

  private static String read(
      List<Problem> problems, String place, Supplier<String> reading, String instead) {
    try {
      return reading.get();
    } catch (Refused refused) {
      problems.add(new Problem(refused.code(), place, refused.sentence()));
      return instead;
    }
  }
}
