package org.opentrellis.app.newsletters;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.journeys.MessageFaults;
import org.opentrellis.core.account.QuietHours;
import org.opentrellis.core.check.Finding;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.newsletter.Newsletter;
import org.opentrellis.core.newsletter.NewsletterChecks;
import org.opentrellis.core.problem.Severity;
import org.springframework.stereotype.Component;

/** The account around newsletters. */
@Component
class NewsletterSurroundings {
  /** So many that went last say what is usual. */
  private static final int LAST = 10;

  private final NewsletterMapper mapper;
  private final NewsletterAudience audience;
  private final NewsletterMoments moments;
  private final MessageFaults faults;
  private final Journeys journeys;
  private final Catalogues catalogues;
  private final Account account;
  private final AccountClock clock;

  NewsletterSurroundings(
      NewsletterMapper mapper,
      NewsletterAudience audience,
      NewsletterMoments moments,
      MessageFaults faults,
      Journeys journeys,
      Catalogues catalogues,
      Account account,
      AccountClock clock) {
    this.mapper = mapper;
    this.audience = audience;
    this.moments = moments;
    this.faults = faults;
    this.journeys = journeys;
    this.catalogues = catalogues;
    this.account = account;
    this.clock = clock;
  }

  /** How many get it as people are now; nobody while it does not say who. */
  long people(Newsletter newsletter) {
    return newsletter.who().isEmpty() ? 0 : audience.of(newsletter).cardinality();
  }

  /** The same as of lately, where many are asked about. */
  long peopleLately(Newsletter newsletter) {
    return newsletter.who().isEmpty() ? 0 : audience.lately(newsletter).cardinality();
  }

  /** How many got those that went last: the middle of their numbers. */
  Optional<Long> usually() {
    List<Long> last = mapper.lastPeople(clock.now(), LAST).stream().sorted().toList();
    return last.isEmpty() ? Optional.empty() : Optional.of(last.get(last.size() / 2));
  }

  /**
   * What a newsletter stands among.
   *
   * @param people how many get it
   */
  NewsletterChecks.Surroundings around(long people) {
    return new NewsletterChecks.Surroundings() {
      @Override
      public LocalDateTime now() {
        return moments.now();
      }

      @Override
      public Optional<QuietHours> quietHours() {
        return account.quietHours();
      }

      @Override
      public String subject(MessageId message) {
        return catalogues.current().message(message).map(Message::headline).orElse("");
      }

      @Override
      public List<String> faults(MessageId message) {
        return faultsOf(message);
      }

      @Override
      public boolean isJourney(JourneyName name) {
        return journeys.names().stream().anyMatch(one -> one.name().equals(name.value()));
      }

      @Override
      public long people() {
        return people;
      }

      @Override
      public Optional<Long> usually() {
        return NewsletterSurroundings.this.usually();
      }
    };
  }

  private List<String> faultsOf(MessageId message) {
    if (catalogues.current().message(message).isEmpty()) {
      return List.of("The message is not there any more: choose another.");
    }
    Journey sending =
        Journey.empty("Nowhere", Purpose.NEWSLETTER)
            .withBody(List.of(Step.SendEmail.of(new StepId("email"), message)));
    return faults.of(sending).stream()
        .filter(finding -> finding.severity() == Severity.ERROR)
        .map(Finding::sentence)
        .toList();
  }
}
