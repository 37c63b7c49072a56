package org.opentrellis.core.journey;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.problem.Refused;

/** What brings a person into a journey. */
public sealed interface Trigger
    permits Trigger.JoinsList,
        Trigger.GetsTag,
        Trigger.SubmitsForm,
        Trigger.EntersSegment,
        Trigger.OpensMessage,
        Trigger.ClicksMessage,
        Trigger.LeavesCart,
        Trigger.Buys,
        Trigger.DateComes,
        Trigger.OnDate,
        Trigger.EventArrives,
        Trigger.HandedOver,
        Trigger.PutIn {

  record JoinsList(ListName list) implements Trigger {}

  record GetsTag(TagName tag) implements Trigger {}

  /**
   * @param form one form, or empty for any
   */
  record SubmitsForm(Optional<FormName> form) implements Trigger {}

  record EntersSegment(SegmentName segment) implements Trigger {}

  record OpensMessage(MessageId message) implements Trigger {}

  /**
   * @param link one link in it, or empty for any
   */
  record ClicksMessage(MessageId message, Optional<LinkName> link) implements Trigger {}

  /**
   * Leaves a cart: has not touched it for some time and has not bought.
   *
   * @param minutes since the cart's last change, 1 to 10080
   */
  record LeavesCart(int minutes) implements Trigger {
    public LeavesCart {
      Text.inRange("the minutes since a cart's last change", minutes, 1, 10_080);
    }
  }

  record Buys(Purchases what) implements Trigger {}

  /**
   * A date in the person's record comes near.
   *
   * @param field holds the date
   * @param days after the date; before it if negative; -366 to 366
   * @param at the local time to enter at, in the journey's zone or each person's own
   * @param everyYear whether the date returns each year
   * @param onFirstOfMarch whether 29 February falls on 1 March in other years, not 28 February
   */
  record DateComes(
      FieldName field, int days, LocalTime at, boolean everyYear, boolean onFirstOfMarch)
      implements Trigger {
    public DateComes {
      Text.inRange("the days around a date", days, -366, 366);
      Text.toTheMinute(at);
    }
  }

  /**
   * A fixed date, on which all enter together.
   *
   * @param at the time in the journey's zone, or in each person's own
   */
  record OnDate(LocalDate date, LocalTime at) implements Trigger {
    public OnDate {
      Text.toTheMinute(at);
    }
  }

  /**
   * @param where what it must say about itself
   */
  record EventArrives(EventName event, List<Attribute> where) implements Trigger {
    public EventArrives {
      where = List.copyOf(where);
      boolean asksForField =
          where.stream()
              .flatMap(one -> one.values().stream())
              .anyMatch(Operand.OtherField.class::isInstance);
      if (asksForField) {
        throw new Refused(
            "what event %s says cannot be compared with a field while nobody has entered; ask so in"
                    .formatted(event)
                + " the rule who may enter");
      }
    }
  }

  /** Another journey hands the person over. */
  record HandedOver() implements Trigger {}

  /** Somebody puts the person in by hand, or an import does. */
  record PutIn() implements Trigger {}
}
