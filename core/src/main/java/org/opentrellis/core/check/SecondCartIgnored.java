package org.opentrellis.core.check;

import java.util.List;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.ReEntry;
import org.opentrellis.core.journey.Trigger;

/** Who leaves a second cart should hear of that one too. */
final class SecondCartIgnored implements Check {
  @Override
  public List<Finding> look(CheckContext context) {
    Journey journey = context.journey();
    boolean perCart = journey.triggers().stream().anyMatch(Trigger.LeavesCart.class::isInstance);
    boolean ignored =
        journey.purpose() == Purpose.CART
            && !journey.triggers().isEmpty()
            && !perCart
            && journey.reEntry() instanceof ReEntry.Never;
    return ignored
        ? List.of(
            Findings.fixedBy(
                Findings.warning(
                    "second-cart-ignored",
                    "Each person enters once, so whoever leaves a second cart hears nothing of it."),
                "Let people enter every time",
                journey.edit().reEntry(new ReEntry.EveryTime()).done()))
        : List.of();
  }
}
