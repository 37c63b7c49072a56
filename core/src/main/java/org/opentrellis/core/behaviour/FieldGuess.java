package org.opentrellis.core.behaviour;

import java.util.List;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.problem.Refused;

/** What a group's people have in a field of their record. */
public sealed interface FieldGuess
    permits FieldGuess.OneOf,
        FieldGuess.NumberBetween,
        FieldGuess.DateBetween,
        FieldGuess.WithField {

  /**
   * One of some values.
   *
   * @param choices at least one; what their shares leave of 1 has an empty field
   */
  record OneOf(List<Choice> choices) implements FieldGuess {
    public OneOf {
      choices = List.copyOf(choices);
      double sum = choices.stream().mapToDouble(Choice::share).sum();
      if (choices.isEmpty() || sum > 1 + 1e-9) {
        throw new Refused("a field's values need shares that add up to at most 1, not " + sum);
      }
    }
  }

  /**
   * @param share of the people, 0 to 1
   */
  record Choice(Operand value, double share) {
    public Choice {
      if (value instanceof Operand.OtherField) {
        throw new Refused("what a group has in a field cannot be another field");
      }
      if (!(share >= 0 && share <= 1)) {
        throw new Refused("a share must be 0 to 1, not " + share);
      }
    }
  }

  /**
   * A number, all in a range alike.
   *
   * @param from the least
   * @param to the most
   */
  record NumberBetween(double from, double to) implements FieldGuess {
    public NumberBetween {
      if (!(from <= to)) {
        throw new Refused("a range must go up, not from " + from + " to " + to);
      }
    }
  }

  /**
   * A date counted from the day when the cohort starts, all in a range alike.
   *
   * @param fromDays before the start if negative
   * @param toDays the last
   */
  record DateBetween(int fromDays, int toDays) implements FieldGuess {
    public static final int MOST_DAYS_BEFORE = 40_000;
    public static final int MOST_DAYS_AFTER = 4_000;

    public DateBetween {
      if (fromDays > toDays || fromDays < -MOST_DAYS_BEFORE || toDays > MOST_DAYS_AFTER) {
        throw new Refused(
            "dates must go up and lie near, not from " + fromDays + " to " + toDays + " days");
      }
    }
  }

  /**
   * Something only for those who have something in another field: members have a date until which
   * they are members.
   *
   * @param other another field of the group that is not tied itself
   * @param then what they have; not tied itself
   */
  record WithField(FieldName other, FieldGuess then) implements FieldGuess {
    public WithField {
      if (then instanceof WithField) {
        throw new Refused("a field can be tied to one other field only");
      }
    }
  }
}
