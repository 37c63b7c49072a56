package org.opentrellis.core.newsletter;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.opentrellis.core.account.QuietHours;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.sentence.Style;

/** Looks through a newsletter for what is missing, and for what its sender would regret. */
public final class NewsletterChecks {
  /** So many times as many people as usual are said. */
  private static final double MANY = 1.5;

  private NewsletterChecks() {}

  /** What a newsletter stands among. */
  public interface Surroundings {

    /** The account's local time now. */
    LocalDateTime now();

    Optional<QuietHours> quietHours();

    /** The subject of a message itself. */
    String subject(MessageId message);

    /** What is wrong with a message so that it must not go out, in sentences. */
    List<String> faults(MessageId message);

    boolean isJourney(JourneyName name);

    /** How many people get it, as of now. */
    long people();

    /** How many got those that have gone, usually; empty if none has gone yet. */
    Optional<Long> usually();
  }

  /** Errors first. */
  public static List<NewsletterFinding> of(Newsletter newsletter, Surroundings around) {
    List<NewsletterFinding> found = new ArrayList<>();
    message(newsletter, around, found);
    people(newsletter, around, found);
    time(newsletter, around, found);
    subjects(newsletter, around, found);
    newsletter
        .text()
        .ifPresent(
            text ->
                text.text()
                    .ifPresentOrElse(
                        id -> faults(id, "/text/text", around, found),
                        () ->
                            found.add(
                                NewsletterFinding.error(
                                    "no-text", "/text/text", "Choose the text that follows."))));
    found.sort(Comparator.comparing(NewsletterFinding::severity));
    return found;
  }

  private static void message(
      Newsletter newsletter, Surroundings around, List<NewsletterFinding> found) {
    newsletter
        .message()
        .ifPresentOrElse(
            id -> faults(id, "/message", around, found),
            () ->
                found.add(
                    NewsletterFinding.error(
                        "no-message", "/message", "It has no message: choose or write one.")));
  }

  private static void faults(
      MessageId id, String place, Surroundings around, List<NewsletterFinding> found) {
    around
        .faults(id)
        .forEach(why -> found.add(NewsletterFinding.error("message-fault", place, why)));
  }

  private static void people(
      Newsletter newsletter, Surroundings around, List<NewsletterFinding> found) {
    newsletter.notInside().stream()
        .filter(name -> !around.isJourney(name))
        .forEach(
            name ->
                found.add(
                    NewsletterFinding.error(
                        "no-such-journey",
                        "/notInside",
                        "There is no journey "
                            + Style.quoted(name.value())
                            + ": take it out, or nobody can tell who is inside.")));
    if (newsletter.who().isEmpty()) {
      found.add(
          NewsletterFinding.error("no-people", "/who", "Say who gets it: nobody does so far."));
      return;
    }
    long people = around.people();
    if (people == 0) {
      found.add(
          NewsletterFinding.warning("nobody", "/who", "Nobody would get it as people are now."));
    }
    around
        .usually()
        .filter(usual -> usual > 0 && people > MANY * usual)
        .ifPresent(
            usual ->
                found.add(
                    NewsletterFinding.warning(
                        "many",
                        "/who",
                        String.format(
                            Locale.ROOT,
                            "%,d people get it: %,d more than usual (%,d), %.1f times as many.",
                            people,
                            people - usual,
                            usual,
                            (double) people / usual))));
  }

  private static void time(
      Newsletter newsletter, Surroundings around, List<NewsletterFinding> found) {
    if (newsletter.going().isEmpty()) {
      found.add(NewsletterFinding.error("no-time", "/going", "Say when it goes out."));
      return;
    }
    Going going = newsletter.going().get();
    if (!going.date().atTime(going.at()).isAfter(around.now())) {
      found.add(
          NewsletterFinding.error(
              "past",
              "/going",
              "%s at %s is past: choose a later time.".formatted(going.date(), going.at())));
    }
    around
        .quietHours()
        .filter(quiet -> quiet.at(going.at()))
        .ifPresent(
            quiet ->
                found.add(
                    NewsletterFinding.warning(
                        "quiet",
                        "/going",
                        "%s is within the quiet hours (%s to %s): it waits for people until %s of their time."
                            .formatted(going.at(), quiet.from(), quiet.to(), quiet.to()))));
    around.quietHours().flatMap(quiet -> later(newsletter, going, quiet)).ifPresent(found::add);
  }

  /** What comes later on the same day may be held over to the next. */
  private static Optional<NewsletterFinding> later(
      Newsletter newsletter, Going going, QuietHours quiet) {
    return newsletter
        .subjects()
        .map(tried -> going.at().plusHours(tried.hours()))
        .filter(rest -> quiet.at(rest) && !quiet.at(going.at()))
        .map(
            rest ->
                NewsletterFinding.warning(
                    "rest-quiet",
                    "/subjects/hours",
                    "The rest would get it at %s, within the quiet hours: they wait until %s of their time."
                        .formatted(rest, quiet.to())));
  }

  private static void subjects(
      Newsletter newsletter, Surroundings around, List<NewsletterFinding> found) {
    Set<String> subjects = new HashSet<>();
    newsletter.message().map(around::subject).map(String::strip).ifPresent(subjects::add);
    newsletter
        .subjects()
        .ifPresent(
            tried -> {
              for (int n = 0; n < tried.others().size(); n++) {
                subject(tried.others().get(n), "/subjects/others/" + n, subjects, found);
              }
            });
    newsletter
        .onceMore()
        .ifPresent(again -> subject(again.subject(), "/onceMore/subject", subjects, found));
  }

  private static void subject(
      String subject, String place, Set<String> before, List<NewsletterFinding> found) {
    if (subject.isBlank()) {
      found.add(NewsletterFinding.error("no-subject", place, "Write this subject."));
    } else if (!before.add(subject.strip())) {
      found.add(
          NewsletterFinding.error(
              "same-subject",
              place,
              Style.quoted(subject.strip()) + " stands there twice: write another subject."));
    }
  }
}
