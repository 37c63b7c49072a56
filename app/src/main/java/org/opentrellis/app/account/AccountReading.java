package org.opentrellis.app.account;

import java.time.DateTimeException;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.account.QuietHours;
import org.opentrellis.core.account.Regional;
import org.opentrellis.core.account.Sender;
import org.opentrellis.core.account.Texting;
import org.opentrellis.core.people.EmailAddress;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.report.SendingLimits;

/** Looks through what a user says of the account, all at once. */
final class AccountReading {
  private static final int LONGEST_NAME = 120;
  private static final int LONGEST_ADDRESS = 500;
  private static final int MOST_SENDERS = 50;

  private final AccountOrder order;
  private final List<Problem> problems = new ArrayList<>();

  private AccountReading(AccountOrder order) {
    this.order = order;
  }

  /** What was said, understood. */
  record Read(AccountRow row, List<Sender> senders) {}

  /**
   * @throws ProblemsFound with everything that is not right
   */
  static Read of(AccountOrder order) {
    return new AccountReading(order).read();
  }

  private Read read() {
    limit("/name", "the account's name", order.name(), LONGEST_NAME);
    limit("/postalAddress", "the postal address", order.postalAddress(), LONGEST_ADDRESS);
    String zone = part("/zone", () -> Regional.zone(order.zone()).getId());
    Locale language = part("/language", () -> Regional.language(order.language()));
    Currency currency = part("/currency", () -> Regional.currency(order.currency()));
    QuietHours quiet = quiet();
    part(
        "",
        () -> new SendingLimits(order.monthlyQuota(), order.segmentPrice(), order.emailsPerWeek()));
    Texting texting = texting();
    List<Sender> senders = senders();
    if (zone == null
        || language == null
        || currency == null
        || texting == null
        || !problems.isEmpty()) {
      throw new ProblemsFound(problems);
    }
    return new Read(
        new AccountRow(
            order.name().strip(),
            order.postalAddress().strip(),
            zone,
            language.toLanguageTag(),
            currency.getCurrencyCode(),
            quiet == null ? null : quiet.from(),
            quiet == null ? null : quiet.to(),
            order.monthlyQuota(),
            order.segmentPrice(),
            order.emailsPerWeek(),
            texting.sender(),
            texting.stop(),
            order.version()),
        senders);
  }

  private <T> @Nullable T part(String place, Supplier<T> reading) {
    try {
      return reading.get();
    } catch (Refused refused) {
      problems.add(new Problem(refused.code(), place, refused.sentence()));
      return null;
    }
  }

  private void limit(String place, String what, String text, int most) {
    if (text.strip().length() > most) {
      part(
          place,
          () -> {
            throw new Refused("%s has at most %d characters".formatted(what, most));
          });
    }
  }

  private @Nullable QuietHours quiet() {
    AccountOrder.QuietPart hours = order.quietHours();
    if (hours == null) {
      return null;
    }
    LocalTime from = part("/quietHours/from", () -> time(hours.from()));
    LocalTime to = part("/quietHours/to", () -> time(hours.to()));
    return from == null || to == null
        ? null
        : part("/quietHours/to", () -> new QuietHours(from, to));
  }

  private @Nullable Texting texting() {
    Texting sender = part("/textSender", () -> new Texting(order.textSender(), ""));
    Texting stop = part("/textStop", () -> new Texting("", order.textStop()));
    return sender == null || stop == null ? null : new Texting(sender.sender(), stop.stop());
  }

  private static LocalTime time(String typed) {
    try {
      return LocalTime.parse(typed);
    } catch (DateTimeException wrong) {
      throw new Refused("a time of day is written 21:00");
    }
  }

  private List<Sender> senders() {
    if (order.senders().size() > MOST_SENDERS) {
      problems.add(
          new Problem(
              "bad-value", "/senders", "At most %d senders can be kept.".formatted(MOST_SENDERS)));
      return List.of();
    }
    List<Sender> senders = new ArrayList<>();
    for (int i = 0; i < order.senders().size(); i++) {
      sender(order.senders().get(i), "/senders/" + i).ifPresent(senders::add);
    }
    return senders;
  }

  private Optional<Sender> sender(AccountOrder.SenderPart said, String place) {
    EmailAddress address = part(place + "/address", () -> new EmailAddress(said.address()));
    String answers = said.answersTo() == null ? "" : said.answersTo().strip();
    EmailAddress answersTo =
        answers.isEmpty() ? null : part(place + "/answersTo", () -> new EmailAddress(answers));
    boolean wrong = address == null || (!answers.isEmpty() && answersTo == null);
    return wrong
        ? Optional.empty()
        : Optional.ofNullable(
            part(
                place + "/name",
                () -> new Sender(said.name(), address, Optional.ofNullable(answersTo))));
  }
}
