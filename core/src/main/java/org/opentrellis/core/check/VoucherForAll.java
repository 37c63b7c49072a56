package org.opentrellis.core.check;

import java.util.ArrayList;
import java.util.List;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.Reaction;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.Trigger;

/** A voucher that mostly goes to people who would have bought anyway gives money away. */
final class VoucherForAll implements Check {
  private static final double HALF = 0.5;

  @Override
  public List<Finding> look(CheckContext context) {
    List<Finding> findings = new ArrayList<>();
    for (Step.Send send : context.expanded().sends()) {
      boolean voucher =
          context.catalogue().message(send.message()).map(Message::voucher).orElse(false);
      double anyway = anyway(send, context);
      if (voucher && anyway > HALF) {
        findings.add(
            Findings.warning(
                "voucher-for-all",
                send.id(),
                ("Of those who will buy after this voucher, about %s would have bought without it. "
                        + "Send it later, or only to people who need it.")
                    .formatted(Findings.percent(anyway))));
      }
    }
    return findings;
  }

  /** Of the buyers after a message, the share who would have bought anyway. */
  private static double anyway(Step.Send send, CheckContext context) {
    Behaviour behaviour = context.behaviour();
    Reaction reaction = behaviour.reactionTo(send.id());
    boolean fromCart =
        context.journey().triggers().stream().anyMatch(Trigger.LeavesCart.class::isInstance);
    double without = 0;
    double because = 0;
    for (AudienceGroup group : behaviour.groups()) {
      without +=
          group.share() * (fromCart ? group.returnsToCart().value() : group.buysAnyway().value());
      because +=
          group.share()
              * reaction.openChance(group.keenness().mean())
              * reaction.clickGivenOpen().value()
              * behaviour.buyAfterClick().value();
    }
    return without + because == 0 ? 0 : without / (without + because);
  }
}
