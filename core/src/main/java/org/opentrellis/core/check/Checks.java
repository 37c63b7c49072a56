package org.opentrellis.core.check;

import java.util.Comparator;
import java.util.List;

/** All checks. */
public final class Checks {
  private static final List<Check> ALL =
      List.of(
          new NoTrigger(),
          new TriggerWithoutData(),
          new MissingReference(),
          new EmailNotSentBefore(),
          new WeightsNotWhole(),
          new ArmNeverTaken(),
          new StepsBehindFinish(),
          new CircleWithoutWait(),
          new OpenedTooSoon(),
          new UntrackedOpens(),
          new MostlyPreloads(),
          new EmailsTooClose(),
          new TooManyInAWeek(),
          new OutsideSendWindow(),
          new HeldTogether(),
          new NoGoal(),
          new NeverHolds(),
          new BuyersStay(),
          new VoucherForAll(),
          new SecondCartIgnored(),
          new WelcomeRepeats(),
          new OnlyOneYear(),
          new DayIsPast(),
          new EveryEntrance(),
          new NotHandedOver(),
          new NeverSet(),
          new NotAssumed(),
          new TagNeverUsed(),
          new DateIsPast(),
          new TooMuchToFollow(),
          new ClosedDays(),
          new StillADraft());

  private Checks() {}

  /** What all checks find, errors first. */
  public static List<Finding> run(CheckContext context) {
    return ALL.stream()
        .flatMap(check -> check.look(context).stream())
        .sorted(Comparator.comparing(Finding::severity))
        .toList();
  }
}
