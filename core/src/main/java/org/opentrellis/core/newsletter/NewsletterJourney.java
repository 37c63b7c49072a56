package org.opentrellis.core.newsletter;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.journey.Arm;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.EmailRef;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Otherwise;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.SplitArm;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.journey.WaitRule;

/**
 * The journey that a newsletter runs as. Its steps keep their ids whatever is changed, so that the
 * subject for the rest can be changed while they wait for it.
 */
public final class NewsletterJourney {
  /** Sends it to all, or to the rest if subjects are tried. */
  public static final StepId EMAIL = new StepId("email");

  /** Sends it once more. */
  public static final StepId ONCE_MORE = new StepId("once-more");

  /** Sends the text. */
  public static final StepId TEXT = new StepId("text");

  /** An hour goes out in so many parts. */
  private static final int PARTS_OF_HOUR = 4;

  private static final int MOST_PARTS = 24;

  private final Newsletter newsletter;

  private NewsletterJourney(Newsletter newsletter) {
    this.newsletter = newsletter;
  }

  /** Sends one of the subjects that are tried; 0 for the message's own. */
  public static StepId tried(int subject) {
    return new StepId("subject-" + (subject + 1));
  }

  /**
   * @param zone in which its moment is meant, unless it is each person's
   * @param better the number of the subject that goes to the rest; 0 for the message's own, also
   *     until that is known
   */
  public static Journey of(Newsletter newsletter, ZoneId zone, int better) {
    Journey empty = Journey.empty(newsletter.name(), Purpose.NEWSLETTER);
    return empty
        .edit()
        .triggers(
            newsletter
                .going()
                .map(going -> List.<Trigger>of(new Trigger.OnDate(going.date(), going.at())))
                .orElse(List.of()))
        .entryFilter(newsletter.meant())
        .zone(newsletter.going().filter(going -> !going.theirTime()).map(going -> zone))
        .sender(newsletter.sender())
        .body(new NewsletterJourney(newsletter).body(better))
        .done();
  }

  private List<Step> body(int better) {
    Optional<MessageId> message = newsletter.message();
    if (message.isEmpty()) {
      return List.of();
    }
    List<Step> body = new ArrayList<>();
    Optional<SubjectTest> tried = newsletter.subjects();
    if (tried.isPresent()) {
      body.add(trial(message.get(), tried.get(), better));
    } else {
      body.addAll(spread());
      body.add(email(EMAIL, message.get(), ""));
    }
    body.addAll(after(message.get()));
    return body;
  }

  private Step trial(MessageId message, SubjectTest tried, int better) {
    List<Double> shares = tried.shares();
    List<SplitArm> arms = new ArrayList<>();
    for (int n = 0; n < tried.count(); n++) {
      Step email = email(tried(n), message, subject(tried, n));
      arms.add(new SplitArm(new StepId("try-" + (n + 1)), shares.get(n), List.of(email)));
    }
    Step waits =
        new Step.Wait(new StepId("for-better"), WaitRule.of(tried.hours(), TimeUnit.HOURS));
    Step rest = email(EMAIL, message, subject(tried, better));
    arms.add(
        new SplitArm(
            new StepId("rest"),
            shares.getLast(),
            Stream.concat(Stream.concat(Stream.of(waits), spread().stream()), Stream.of(rest))
                .toList()));
    return new Step.SplitTest(new StepId("try"), arms);
  }

  private static String subject(SubjectTest tried, int n) {
    return n == 0 ? "" : tried.others().get(n - 1);
  }

  /** By lot a part of the people waits a part of the hours. */
  private List<Step> spread() {
    int hours = newsletter.overHours();
    if (hours == 0) {
      return List.of();
    }
    int parts = Math.min(MOST_PARTS, hours * PARTS_OF_HOUR);
    List<SplitArm> arms = new ArrayList<>();
    for (int n = 0; n < parts; n++) {
      List<Step> waits =
          n == 0
              ? List.of()
              : List.of(
                  new Step.Wait(
                      new StepId("part-%d-wait".formatted(n + 1)),
                      WaitRule.of(60.0 * hours * n / parts, TimeUnit.MINUTES)));
      arms.add(new SplitArm(new StepId("part-" + (n + 1)), 100.0 / parts, waits));
    }
    return List.of(new Step.SplitTest(new StepId("spread"), arms));
  }

  private static Step email(StepId id, MessageId message, String subject) {
    return Step.SendEmail.of(id, message)
        .edit()
        .subject(Optional.of(subject).filter(words -> !words.isBlank()))
        .done();
  }

  /** What follows, in order of time. */
  private List<Step> after(MessageId message) {
    List<Later> later = new ArrayList<>();
    newsletter
        .text()
        .filter(text -> text.text().isPresent())
        .ifPresent(
            text ->
                later.add(
                    new Later(
                        TEXT,
                        text.hours(),
                        unless(text.to()),
                        new Step.SendText(
                            TEXT,
                            text.text().orElseThrow(),
                            Optional.empty(),
                            false,
                            Optional.empty()))));
    newsletter
        .onceMore()
        .ifPresent(
            again ->
                later.add(
                    new Later(
                        ONCE_MORE,
                        again.hours(),
                        Optional.of(opened()),
                        email(ONCE_MORE, message, again.subject()))));
    later.sort(Comparator.comparingInt(Later::hours));
    List<Step> steps = new ArrayList<>();
    int so = 0;
    for (Later one : later) {
      steps.addAll(one.steps(one.hours() - so));
      so = one.hours();
    }
    return steps;
  }

  /**
   * Something that follows.
   *
   * @param hours after the email
   * @param unless who does not get it
   */
  private record Later(StepId id, int hours, Optional<Condition> unless, Step step) {

    /**
     * @param wait for so many hours first
     */
    List<Step> steps(int wait) {
      List<Step> steps = new ArrayList<>();
      if (wait > 0) {
        steps.add(new Step.Wait(named("wait"), WaitRule.of(wait, TimeUnit.HOURS)));
      }
      steps.add(
          unless
              .<Step>map(
                  those ->
                      new Step.Branch(
                          named("if"),
                          Optional.empty(),
                          List.of(new Arm(named("not"), those, List.of())),
                          new Otherwise(named("then"), List.of(step))))
              .orElse(step));
      return steps;
    }

    private StepId named(String what) {
      return new StepId(id.value() + "-" + what);
    }
  }

  /** Whoever was reached by any email of it needs no text. */
  private static Optional<Condition> unless(TextAfter.To to) {
    EmailRef any = new EmailRef.AnyOfJourney();
    return switch (to) {
      case NOT_OPENED -> Optional.of(new Condition.Opened(any, false, Optional.empty()));
      case NOT_CLICKED ->
          Optional.of(new Condition.Clicked(any, Optional.empty(), Optional.empty()));
      case ALL_WHO_AGREED -> Optional.empty();
    };
  }

  /** Said of the one email where there is but one, so that both are read as two tries. */
  private Condition opened() {
    EmailRef sent =
        newsletter.subjects().isPresent()
            ? new EmailRef.AnyOfJourney()
            : new EmailRef.OfStep(EMAIL);
    return new Condition.Opened(sent, false, Optional.empty());
  }
}
