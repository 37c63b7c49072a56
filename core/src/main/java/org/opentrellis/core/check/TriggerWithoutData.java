package org.opentrellis.core.check;

import java.util.ArrayList;
import java.util.List;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.Trigger;

/** A cart journey needs carts to start from, a date-based one dates. */
final class TriggerWithoutData implements Check {
  @Override
  public List<Finding> look(CheckContext context) {
    Journey journey = context.journey();
    List<Finding> findings = new ArrayList<>();
    if (!journey.triggers().isEmpty()) {
      if (journey.purpose() == Purpose.CART && !starts(journey, Trigger.LeavesCart.class)) {
        findings.add(
            Findings.error(
                "no-cart-trigger",
                "This is a cart journey, but no cart starts it, so it does not know whose cart it "
                    + "is about. Start it when someone leaves a cart."));
      }
      boolean dated =
          starts(journey, Trigger.DateComes.class) || starts(journey, Trigger.OnDate.class);
      if (journey.purpose() == Purpose.DATE_BASED && !dated) {
        findings.add(
            Findings.error(
                "no-date-trigger",
                "This is a date-based journey, but no date starts it. Start it some days before a "
                    + "date in people's records, or on a fixed date."));
      }
    }
    for (Trigger trigger : journey.triggers()) {
      if (trigger instanceof Trigger.DateComes date && nobodyHas(date.field(), context)) {
        findings.add(
            Findings.warning(
                "no-dates",
                "No audience group has a date in field \u201c%s\u201d, so a dry run lets people come "
                        .formatted(date.field())
                    + "as if there were no date. Say what the field holds."));
      }
    }
    return findings;
  }

  private static boolean starts(Journey journey, Class<? extends Trigger> kind) {
    return journey.triggers().stream().anyMatch(kind::isInstance);
  }

  private static boolean nobodyHas(FieldName field, CheckContext context) {
    return context.behaviour().groups().stream()
        .map(AudienceGroup::fields)
        .noneMatch(fields -> fields.containsKey(field));
  }
}
