package org.opentrellis.core.search;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import org.opentrellis.core.behaviour.Assumed;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.BehaviourEdit;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.behaviour.Reaction;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.sentence.Sentences;
import org.opentrellis.core.vary.VariedRun;

/**
 * Whether something is better is asked again of other people: each assumption goes down and up by
 * itself, to the ends of its 95% interval where it was measured, else by a fifth less and a quarter
 * more.
 */
final class Doubts {
  private static final double LESS = 0.8;
  private static final double MORE = 1.25;
  private static final double LARGEST = 0.95;

  /** More emails than this are not doubted one by one. */
  private static final int FEW_EMAILS = 8;

  private final VariedRun plan;
  private final List<Doubt> doubts = new ArrayList<>();

  private Doubts(VariedRun plan) {
    this.plan = plan;
  }

  static List<Doubt> about(VariedRun plan) {
    Doubts all = new Doubts(plan);
    all.keenness();
    all.emails();
    all.behaviour(
        "people open sooner",
        "people open later",
        Behaviour::openMedianHours,
        BehaviourEdit::openMedianHours);
    all.buying();
    return all.doubts;
  }

  private static double low(Assumed assumed) {
    return assumed.measured().map(how -> how.low()).orElse(assumed.value() * LESS);
  }

  private static double high(Assumed assumed) {
    return assumed.measured().map(how -> how.high()).orElse(assumed.value() * MORE);
  }

  private static Assumed share(double value) {
    return Assumed.byHand(Math.clamp(value, 0, LARGEST));
  }

  private void keenness() {
    for (boolean more : new boolean[] {false, true}) {
      doubts.add(
          new Doubt(
              more ? "keener people" : "lazier people",
              from -> from.with(groups(from.cohort(), group -> keener(group, more)))));
    }
  }

  private static AudienceGroup keener(AudienceGroup group, boolean more) {
    double mean = Math.min(LARGEST, group.keenness().mean() * (more ? MORE : LESS));
    return group.edit().keenness(new Keenness(mean, group.keenness().spread())).done();
  }

  private static CohortPlan groups(CohortPlan cohort, UnaryOperator<AudienceGroup> change) {
    return new CohortPlan(
        cohort.people(),
        cohort.groups().stream().map(change).toList(),
        cohort.arrivals(),
        cohort.holdOut());
  }

  private void emails() {
    Journey expanded = Strands.expand(plan.journey(), plan.catalogue());
    Sentences sentences = new Sentences(plan.journey(), plan.catalogue());
    List<Step.SendEmail> emails = expanded.emails();
    if (emails.size() <= FEW_EMAILS) {
      for (Step.SendEmail email : emails) {
        String name = "\u201c%s\u201d".formatted(sentences.brief(email));
        one(email.id(), name + " pulls less", name + " pulls more", Doubts::pull);
        one(email.id(), name + " gets fewer clicks", name + " gets more clicks", Doubts::click);
      }
    } else {
      every("all emails pull less", "all emails pull more", Doubts::pull);
      every("all emails get fewer clicks", "all emails get more clicks", Doubts::click);
    }
    every("fewer people unsubscribe", "more people unsubscribe", Doubts::unsubscribe);
  }

  private static Reaction pull(Reaction from, boolean more) {
    double pull = more ? high(from.pull()) : low(from.pull());
    return new Reaction(
        Assumed.byHand(Math.max(0.01, pull)),
        from.clickGivenOpen(),
        from.unsubscribeGivenOpen(),
        from.complaintGivenOpen(),
        from.linkWeights());
  }

  private static Reaction click(Reaction from, boolean more) {
    Assumed click = from.clickGivenOpen();
    return new Reaction(
        from.pull(),
        share(more ? high(click) : low(click)),
        from.unsubscribeGivenOpen(),
        from.complaintGivenOpen(),
        from.linkWeights());
  }

  private static Reaction unsubscribe(Reaction from, boolean more) {
    Assumed gone = from.unsubscribeGivenOpen();
    return new Reaction(
        from.pull(),
        from.clickGivenOpen(),
        share(more ? high(gone) : low(gone)),
        from.complaintGivenOpen(),
        from.linkWeights());
  }

  private void one(
      StepId email, String less, String more, BiFunction<Reaction, Boolean, Reaction> change) {
    for (boolean up : new boolean[] {false, true}) {
      doubts.add(
          new Doubt(
              up ? more : less,
              from -> {
                Map<StepId, Reaction> emails = new HashMap<>(from.behaviour().emails());
                emails.put(email, change.apply(from.behaviour().reactionTo(email), up));
                return from.with(from.behaviour().edit().emails(emails).done());
              }));
    }
  }

  private void every(String less, String more, BiFunction<Reaction, Boolean, Reaction> change) {
    for (boolean up : new boolean[] {false, true}) {
      doubts.add(
          new Doubt(
              up ? more : less,
              from -> {
                Map<StepId, Reaction> emails = new HashMap<>(from.behaviour().emails());
                emails.replaceAll((id, reaction) -> change.apply(reaction, up));
                return from.with(
                    from.behaviour()
                        .edit()
                        .usual(change.apply(from.behaviour().usual(), up))
                        .emails(emails)
                        .done());
              }));
    }
  }

  private void behaviour(
      String less,
      String more,
      Function<Behaviour, Assumed> get,
      BiFunction<BehaviourEdit, Assumed, BehaviourEdit> set) {
    Assumed now = get.apply(plan.behaviour());
    for (boolean up : new boolean[] {false, true}) {
      Assumed other = Assumed.byHand(up ? high(now) : low(now));
      doubts.add(
          new Doubt(
              up ? more : less,
              from -> from.with(set.apply(from.behaviour().edit(), other).done())));
    }
  }

  private void buying() {
    Behaviour now = plan.behaviour();
    if (now.buyAfterClick().value() > 0) {
      behaviour(
          "fewer buy after a click",
          "more buy after a click",
          Behaviour::buyAfterClick,
          (edit, value) -> edit.buyAfterClick(share(value.value())));
    }
    boolean cart =
        plan.journey().triggers().stream().anyMatch(Trigger.LeavesCart.class::isInstance);
    for (boolean up : new boolean[] {false, true}) {
      String who = up ? "more" : "fewer";
      doubts.add(
          new Doubt(
              cart ? who + " return to their cart anyway" : who + " buy anyway",
              from -> from.with(groups(from.cohort(), group -> buying(group, cart, up)))));
    }
  }

  private static AudienceGroup buying(AudienceGroup group, boolean cart, boolean up) {
    Assumed now = cart ? group.returnsToCart() : group.buysAnyway();
    Assumed other = share(up ? high(now) : low(now));
    return cart ? group.edit().returnsToCart(other).done() : group.edit().buysAnyway(other).done();
  }
}
