package org.opentrellis.core.reading;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Purchases;

/** Reads what people have done: "bought anything since they entered", "came by form Planner". */
final class PastReader {
  private static final String SINCE_ENTRY =
      "since (they|he|she)( have| has)? (entered|joined|started|came in|came|began)|"
          + "since (entry|entering|joining|then)|in the meantime|meanwhile|by then|so far|yet";

  private final Cursor cursor;
  private final Scope scope;
  private final PurchaseReader purchases;

  PastReader(Cursor cursor, Scope scope) {
    this.cursor = cursor;
    this.scope = scope;
    this.purchases = new PurchaseReader(cursor, scope);
  }

  /** Null if nothing of the kind stands here. */
  @Nullable Condition read() {
    if (cursor.any(
        "bought", "(have |has )?(bought|purchased|ordered|buy|buys|purchase|order|orders)")) {
      if (cursor.says("nothing")) {
        cursor.says(SINCE_ENTRY);
        return ConditionReader.not(new Condition.Bought(Purchases.ANY, lately()));
      }
      Purchases what = purchases.read();
      cursor.says(SINCE_ENTRY);
      return new Condition.Bought(what, lately());
    }
    if (cursor.says("(have |has )?(made|placed|make|place) (a|an|any) (purchase|order)")) {
      cursor.says(SINCE_ENTRY);
      return new Condition.Bought(Purchases.ANY, lately());
    }
    if (cursor.any("had event", "((have|has) )?had (the )?event|event")) {
      return happened();
    }
    return came();
  }

  private Condition happened() {
    EventReader.Which which = new EventReader(cursor, scope).read(ConditionReader.FOLLOWERS);
    int times = timesAtLeast();
    Optional<Amount> within = lately();
    int from = cursor.at();
    return cursor.meaning(
        from, () -> new Condition.Happened(which.event(), which.where(), times, within));
  }

  private @Nullable Condition came() {
    if (cursor.any(
        "came by form",
        "(came|come|entered|joined|signed up) (by|through|via|with|from) (the )?(sign-?up )?form",
        "(have |has )?(submitted|filled in) (the )?form")) {
      return new Condition.CameByForm(
          scope.named(cursor, "form", FormName.class, FormName::new, ConditionReader.FOLLOWERS));
    }
    if (cursor.any("came by an order of", "(come|entered) by an order of")) {
      return new Condition.CameByOrder(purchases.read());
    }
    if (cursor.any("came by list", "(come|entered|came) (by|through|via|from) (the )?list")) {
      return new Condition.CameByList(
          scope.named(cursor, "list", ListName.class, ListName::new, ConditionReader.FOLLOWERS));
    }
    return cursor.any("came from journey", "(come|came) from (the )?journey")
        ? new Condition.CameByJourney(
            new JourneyName(cursor.name("journey", scope.journeys(), ConditionReader.FOLLOWERS)))
        : null;
  }

  private Optional<Amount> lately() {
    return cursor.any("in the last", "(within|during|over) the (last|past)|in the past")
        ? Optional.of(scope.times(cursor).requireAmount())
        : Optional.empty();
  }

  private int timesAtLeast() {
    if (!cursor.word("at least")) {
      return 1;
    }
    int count = new NumberReader(cursor).requireWhole("2 times");
    cursor.require("times");
    return count;
  }
}
