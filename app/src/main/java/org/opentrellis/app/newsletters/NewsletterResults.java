package org.opentrellis.app.newsletters;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.live.MailFigures;
import org.opentrellis.app.newsletters.NewsletterViews.NewsletterShare;
import org.opentrellis.app.newsletters.NewsletterViews.NewsletterStep;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.newsletter.Newsletter;
import org.opentrellis.core.newsletter.NewsletterJourney;
import org.opentrellis.core.sentence.Style;
import org.opentrellis.core.stats.Confidence;
import org.opentrellis.core.stats.Interval;
import org.opentrellis.core.stats.Proportion;
import org.opentrellis.core.stats.Wilson;
import org.springframework.stereotype.Component;

/** What came of a newsletter. */
@Component
class NewsletterResults {
  private final MailFigures figures;
  private final Journeys journeys;
  private final Catalogues catalogues;
  private final AccountClock clock;

  NewsletterResults(
      MailFigures figures, Journeys journeys, Catalogues catalogues, AccountClock clock) {
    this.figures = figures;
    this.journeys = journeys;
    this.catalogues = catalogues;
    this.clock = clock;
  }

  /** Each of its messages that has gone to somebody, in their order. */
  List<NewsletterStep> steps(NewsletterRow row) {
    Map<String, MailFigures.OfStep> sent = figures.of(row.journeyId(), clock.now());
    if (sent.isEmpty()) {
      return List.of();
    }
    Newsletter newsletter = row.newsletter();
    Journey journey = journeys.find(row.journeyId()).journey();
    return journey.sends().stream()
        .filter(step -> sent.containsKey(step.id().value()))
        .map(step -> step(step, newsletter, sent.get(step.id().value())))
        .toList();
  }

  private NewsletterStep step(Step.Send step, Newsletter newsletter, MailFigures.OfStep of) {
    boolean text = step instanceof Step.SendText;
    return new NewsletterStep(
        step.id().value(),
        name(step, newsletter),
        text,
        of.sent(),
        of.delivered(),
        of.bounced(),
        text ? null : share(of.opened(), of.delivered()),
        text ? null : share(of.clicked(), of.delivered()),
        text ? null : share(of.unsubscribed(), of.delivered()));
  }

  private String name(Step.Send step, Newsletter newsletter) {
    String subject =
        step instanceof Step.SendEmail email
            ? email
                .subject()
                .orElseGet(
                    () ->
                        catalogues
                            .current()
                            .message(step.message())
                            .map(Message::headline)
                            .orElse(""))
            : "";
    if (step.id().equals(NewsletterJourney.TEXT)) {
      return "The text";
    }
    if (step.id().equals(NewsletterJourney.ONCE_MORE)) {
      return "Once more: " + Style.quoted(subject);
    }
    boolean rest = step.id().equals(NewsletterJourney.EMAIL) && newsletter.subjects().isPresent();
    return (rest ? "The rest: " : "") + Style.quoted(subject);
  }

  private static @Nullable NewsletterShare share(long count, long of) {
    if (of == 0) {
      return null;
    }
    Proportion share = new Proportion(Math.min(count, of), of);
    Interval interval = Wilson.interval(share, Confidence.NINETY_FIVE);
    return new NewsletterShare(count, share.value().orElseThrow(), interval.low(), interval.high());
  }

  /** How far it is, in sentences. */
  List<String> says(NewsletterRow row, NewsletterPhase phase) {
    List<String> says = new ArrayList<>();
    long emails =
        steps(row).stream()
            .filter(
                step -> !step.text() && !step.step().equals(NewsletterJourney.ONCE_MORE.value()))
            .mapToLong(NewsletterStep::sent)
            .sum();
    long meant = row.people() == null ? emails : row.people();
    says.add(
        switch (phase) {
          case GOING_OUT ->
              String.format(
                  Locale.ROOT,
                  "It is going out: %,d have got it so far; %,d were meant when it was planned.",
                  emails,
                  meant);
          case CALLED_BACK ->
              String.format(
                  Locale.ROOT,
                  "It was called back: %,d had got it by then; %,d were meant when it was planned.",
                  emails,
                  meant);
          default -> String.format(Locale.ROOT, "It has gone: %,d got it.", emails);
        });
    if (row.verdict() != null) {
      says.add(row.verdict());
    } else if (row.newsletter().subjects().isPresent() && phase == NewsletterPhase.GOING_OUT) {
      says.add("Which subject goes to the rest is not known yet.");
    }
    return says;
  }
}
