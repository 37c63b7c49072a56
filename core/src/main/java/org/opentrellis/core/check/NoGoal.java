package org.opentrellis.core.check;

import java.util.List;
import java.util.Optional;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Trigger;

/** Without a goal nothing says whether a journey does what it is for. */
final class NoGoal implements Check {
  private static final int AFTER_A_CART = 7;
  private static final int AFTER_AN_ORDER = 60;
  private static final int AROUND_A_DATE = 30;
  private static final int ELSE = 21;

  @Override
  public List<Finding> look(CheckContext context) {
    Journey journey = context.journey();
    if (journey.goal().isPresent() || context.expanded().sends().isEmpty()) {
      return List.of();
    }
    String stay =
        BuyersStay.leavesWhenBought(journey)
            ? ""
            : " And people who buy still get every email. " + BuyersStay.atLeast(context);
    int days = usualDays(journey);
    return List.of(
        Findings.fixedBy(
            Findings.warning(
                "no-goal",
                "There is no goal, so no verdict will be possible: nothing says whether people do"
                    + " what the journey is for."
                    + stay),
            "Set goal: bought within %d days, then leave".formatted(days),
            journey.edit().goal(Optional.of(Goal.bought(days, true))).done()));
  }

  /** How long people are given after what brings them in. Common practice, no source. */
  private static int usualDays(Journey journey) {
    return journey.triggers().stream()
        .mapToInt(
            trigger ->
                switch (trigger) {
                  case Trigger.LeavesCart cart -> AFTER_A_CART;
                  case Trigger.Buys buys -> AFTER_AN_ORDER;
                  case Trigger.DateComes date -> AROUND_A_DATE;
                  case Trigger.OnDate date -> AROUND_A_DATE;
                  case Trigger.JoinsList joins -> ELSE;
                  case Trigger.GetsTag gets -> ELSE;
                  case Trigger.SubmitsForm submits -> ELSE;
                  case Trigger.EntersSegment enters -> ELSE;
                  case Trigger.OpensMessage opens -> ELSE;
                  case Trigger.ClicksMessage clicks -> ELSE;
                  case Trigger.EventArrives event -> ELSE;
                  case Trigger.HandedOver over -> ELSE;
                  case Trigger.PutIn in -> ELSE;
                })
        .findFirst()
        .orElse(ELSE);
  }
}
