package org.opentrellis.core.arrange;

import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.EmailRef;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.FreshIds;
import org.opentrellis.core.journey.IfPast;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepEdits;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.WaitRule;
import org.opentrellis.core.problem.Refused;

/** Runs of steps that practitioners write again and again, put in as ordinary steps. */
public final class Series {
  /** How often a message is tried again at most. */
  public static final int MOST_TRIES = 3;

  private static final int DAYS_BETWEEN_TRIES = 2;
  private static final LocalTime MORNING = LocalTime.of(9, 0);

  private final Journey journey;
  private final Catalogue catalogue;
  private final FreshIds fresh;

  public Series(Journey journey, Catalogue catalogue) {
    this.journey = journey;
    this.catalogue = catalogue;
    this.fresh = new FreshIds(journey);
  }

  /**
   * The same email again under a new subject, {@value #DAYS_BETWEEN_TRIES} days later, for those
   * who have opened none of them.
   *
   * @param email the step that sends it first
   * @param times how often, 1 to {@value #MOST_TRIES}
   */
  public Arranged tryAgain(String email, int times) {
    if (times < 1 || times > MOST_TRIES) {
      throw new Refused("tries must be 1 to " + MOST_TRIES + ", not " + times);
    }
    Optional<Step.SendEmail> first = email(email);
    if (first.isEmpty()) {
      return notAnEmail("try again");
    }
    return tryAgain(first.get(), List.of(first.get().id()), times);
  }

  /**
   * More tries of an email that may have been tried again already, below the last of them.
   *
   * @param chain the email and its further tries, in order
   * @param times how many more; all together at most {@value #MOST_TRIES}
   */
  public Arranged tryAgain(List<StepId> chain, int times) {
    if (times < 1 || chain.size() - 1 + times > MOST_TRIES) {
      throw new Refused(
          "tries must be 1 to %d, not %d".formatted(MOST_TRIES, chain.size() - 1 + times));
    }
    return email(chain.get(0).value())
        .map(first -> tryAgain(first, chain, times))
        .orElseGet(() -> notAnEmail("try again"));
  }

  private Arranged tryAgain(Step.SendEmail first, List<StepId> chain, int times) {
    List<Step> steps = new ArrayList<>();
    List<StepId> sent = new ArrayList<>(chain);
    for (int n = 0; n < times; n++) {
      steps.add(new Step.Wait(fresh.next("wait"), WaitRule.of(DAYS_BETWEEN_TRIES, TimeUnit.DAYS)));
      StepId id = fresh.next("again");
      String begins = sent.size() == 1 ? "Once more: " : "For the last time: ";
      String subject = begins + subjectOf(first);
      steps.add(
          Step.SendEmail.of(id, first.message())
              .edit()
              .subject(Optional.of(subject.substring(0, Math.min(200, subject.length()))))
              .onlyIf(Optional.of(openedNone(sent)))
              .done());
      sent.add(id);
    }
    return put(steps, chain.get(chain.size() - 1).value());
  }

  /**
   * A text to those who have not opened an email some hours after it.
   *
   * @param email the step that sends the email
   */
  public Arranged textTheRest(String email, MessageId text, int hours) {
    Optional<Step.SendEmail> first = email(email);
    if (first.isEmpty()) {
      return notAnEmail("follow up by text");
    }
    return put(
        List.of(
            new Step.Wait(fresh.next("wait"), WaitRule.of(hours, TimeUnit.HOURS)),
            new Step.SendText(
                fresh.next("text"),
                text,
                Optional.of(openedNone(List.of(first.get().id()))),
                false,
                Optional.empty())),
        email);
  }

  /**
   * A reminder some days before a date in people's records, and one on the day.
   *
   * @param below the row to put them below
   * @param days how many, at least 1
   */
  public Arranged remind(String below, FieldName field, MessageId message, int days) {
    return put(
        List.of(
            new Step.Wait(fresh.next("wait"), around(field, -days)),
            Step.SendEmail.of(fresh.next("reminder"), message),
            new Step.Wait(fresh.next("wait"), around(field, 0)),
            Step.SendEmail.of(fresh.next("reminder"), message)
                .edit()
                .subject(Optional.of("Today: " + nameOf(message)))
                .done()),
        below);
  }

  private static WaitRule around(FieldName field, int days) {
    return new WaitRule.AroundDate(field, days, MORNING, false, false, new IfPast.GoOn());
  }

  private Optional<Step.SendEmail> email(String row) {
    return journey.emails().stream().filter(one -> one.id().value().equals(row)).findFirst();
  }

  private static Arranged notAnEmail(String what) {
    return new Arranged.Refused(
        "Choose the email to " + what + " first: these steps go below it and ask about it.");
  }

  private static Condition openedNone(List<StepId> sent) {
    return new Condition.None(
        sent.stream()
            .map(
                id ->
                    (Condition)
                        new Condition.Opened(new EmailRef.OfStep(id), false, Optional.empty()))
            .toList());
  }

  private String subjectOf(Step.SendEmail email) {
    return email
        .subject()
        .or(() -> catalogue.message(email.message()).map(message -> message.headline()))
        .orElse(email.message().value());
  }

  private String nameOf(MessageId id) {
    String name = catalogue.message(id).map(message -> message.headline()).orElse(id.value());
    return name.substring(0, Math.min(180, name.length()));
  }

  private Arranged put(List<Step> steps, String below) {
    return new Arranged.Done(StepEdits.insert(journey, below, steps), steps);
  }
}
