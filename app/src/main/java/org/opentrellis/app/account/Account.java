package org.opentrellis.app.account;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.SaveLost;
import org.opentrellis.core.account.QuietHours;
import org.opentrellis.core.account.Regional;
import org.opentrellis.core.account.Sender;
import org.opentrellis.core.account.Texting;
import org.opentrellis.core.people.EmailAddress;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.report.SendingLimits;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What holds for the whole account. */
@Service
@Transactional
public class Account {
  private static final double SOME_AMOUNT = 1234.5;

  private final AccountMapper mapper;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  Account(AccountMapper mapper, ApplicationEventPublisher events, Clock clock) {
    this.mapper = mapper;
    this.events = events;
    this.clock = clock;
  }

  public SendingLimits limits() {
    return mapper.account().limits();
  }

  /** Who texts come from, and how to stop them. */
  public Texting texting() {
    return mapper.account().texting();
  }

  /** When nothing is sent, if at some time. */
  public Optional<QuietHours> quietHours() {
    AccountRow row = mapper.account();
    return row.quietFrom() == null || row.quietTo() == null
        ? Optional.empty()
        : Optional.of(new QuietHours(row.quietFrom(), row.quietTo()));
  }

  /** Of those of whom none is known. */
  public ZoneId zone() {
    return ZoneId.of(mapper.account().zone());
  }

  AccountView view() {
    AccountRow row = mapper.account();
    List<AccountOrder.SenderPart> senders = mapper.senders();
    return new AccountView(
        order(row, senders),
        regional(row).example(LocalDate.now(clock), SOME_AMOUNT),
        senders.stream().map(one -> sender(one).said()).toList(),
        missing(row, senders));
  }

  /** Who writes, and how. */
  public AccountWriter writer() {
    AccountRow row = mapper.account();
    return new AccountWriter(
        row.name(),
        row.postalAddress(),
        regional(row),
        mapper.senders().stream().map(Account::sender).toList());
  }

  private static Regional regional(AccountRow row) {
    return new Regional(
        ZoneId.of(row.zone()),
        Locale.forLanguageTag(row.language()),
        Currency.getInstance(row.currency()));
  }

  private static List<String> missing(AccountRow row, List<AccountOrder.SenderPart> senders) {
    List<String> missing = new ArrayList<>();
    if (row.name().isEmpty()) {
      missing.add("Say who writes: every email names it below.");
    }
    if (row.postalAddress().isEmpty()) {
      missing.add("Say the postal address: the law of most countries wants it below every email.");
    }
    if (senders.isEmpty()) {
      missing.add("Say who emails come from.");
    }
    row.texting().cannotStop().ifPresent(missing::add);
    return missing;
  }

  private static Sender sender(AccountOrder.SenderPart part) {
    return new Sender(
        part.name(),
        new EmailAddress(part.address()),
        Optional.ofNullable(part.answersTo()).map(EmailAddress::new));
  }

  private static AccountOrder order(AccountRow row, List<AccountOrder.SenderPart> senders) {
    return new AccountOrder(
        row.name(),
        row.postalAddress(),
        row.zone(),
        row.language(),
        row.currency(),
        senders,
        quiet(row),
        row.monthlyQuota(),
        row.segmentPrice(),
        row.emailsPerWeek(),
        row.textSender(),
        row.textStop(),
        row.version());
  }

  private static AccountOrder.@Nullable QuietPart quiet(AccountRow row) {
    return row.quietFrom() == null || row.quietTo() == null
        ? null
        : new AccountOrder.QuietPart(row.quietFrom().toString(), row.quietTo().toString());
  }

  /**
   * @throws ProblemsFound if something cannot be so
   * @throws SaveLost if somebody else has set it since
   */
  public AccountView set(AccountOrder order) {
    AccountReading.Read read = AccountReading.of(order);
    if (mapper.set(read.row()) == 0) {
      throw new SaveLost(
          "Somebody else has changed the account since you opened it.", view(), order);
    }
    mapper.deleteSenders();
    for (int i = 0; i < read.senders().size(); i++) {
      Sender sender = read.senders().get(i);
      mapper.insertSender(
          i,
          new AccountOrder.SenderPart(
              sender.name(),
              sender.address().value(),
              sender.answersTo().map(EmailAddress::value).orElse(null)));
    }
    events.publishEvent(new EnoughChanged(read.row().emailsPerWeek()));
    return view();
  }

  /** Whether nobody has said anything of it yet. */
  public boolean untouched() {
    return mapper.account().version() == 1;
  }

  /**
   * Sets what limits sending alone.
   *
   * @throws ProblemsFound if a limit is out of range
   * @throws SaveLost if somebody else has changed the account since
   */
  LimitsView set(LimitsOrder order) {
    try {
      SendingLimits limits =
          new SendingLimits(order.monthlyQuota(), order.segmentPrice(), order.emailsPerWeek());
      if (mapper.setLimits(limits, order.version()) == 0) {
        throw new SaveLost(
            "Somebody else has set the limits since you opened them.", limitsView(), order);
      }
      events.publishEvent(new EnoughChanged(limits.emailsPerWeek()));
      return limitsView();
    } catch (Refused refused) {
      throw ProblemsFound.refused("", refused);
    }
  }

  /**
   * Sets how many emails within seven days are enough, whatever else is set.
   *
   * @throws ProblemsFound if that is out of range
   */
  public void enough(int emailsPerWeek) {
    AccountRow row = mapper.account();
    if (row.emailsPerWeek() != emailsPerWeek) {
      set(new LimitsOrder(row.monthlyQuota(), row.segmentPrice(), emailsPerWeek, row.version()));
    }
  }

  LimitsView limitsView() {
    return LimitsView.of(mapper.account());
  }

  AccountChoices choices() {
    LocalDate today = LocalDate.now(clock);
    return new AccountChoices(
        ZoneId.getAvailableZoneIds().stream()
            .filter(zone -> zone.contains("/") && !zone.matches("(Etc|SystemV)/.*"))
            .sorted()
            .toList(),
        Regional.languages().stream()
            .map(
                one ->
                    new AccountChoices.Language(
                        one.toLanguageTag(),
                        one.getDisplayName(Locale.ENGLISH),
                        Regional.day(today, one)))
            .toList(),
        Currency.getAvailableCurrencies().stream()
            .map(Currency::getCurrencyCode)
            .sorted()
            .toList());
  }
}
