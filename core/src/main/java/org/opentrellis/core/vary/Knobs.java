package org.opentrellis.core.vary;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.behaviour.Assumed;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.BehaviourEdit;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.behaviour.Reaction;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepEdits;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.journey.WaitRule;
import org.opentrellis.core.sentence.Sentences;

/**
 * The numbers of a plan that can be varied: each wait, and each assumption about its people. "A
 * little" is a fifth less and a quarter more, which are as far apart either way; a wait of whole
 * units moves by one.
 */
final class Knobs {
  private static final double LESS = 0.8;
  private static final double MORE = 1.25;
  private static final double LARGEST_SHARE = 0.95;

  private final VariedRun plan;
  private final Sentences sentences;
  private final List<Knob> knobs = new ArrayList<>();

  private Knobs(VariedRun plan) {
    this.plan = plan;
    this.sentences = new Sentences(plan.journey(), plan.catalogue());
  }

  static List<Knob> of(VariedRun plan) {
    Knobs all = new Knobs(plan);
    all.waits();
    all.emails();
    all.reactions();
    all.groups();
    return all.knobs;
  }

  /** Steps of strands belong to several journeys, so they are left as they are. */
  private void waits() {
    for (Step step : plan.journey().steps().toList()) {
      if (step instanceof Step.Wait wait && wait.rule() instanceof WaitRule.For rule) {
        String name = "Wait: " + sentences.step(step).text();
        wait(step.id(), name, rule.amount(), amount -> waiting(wait.id(), amount));
      }
      if (step instanceof Step.Branch branch && branch.waitUpTo().isPresent()) {
        String name = "Branch waits for \u201c%s\u201d".formatted(sentences.brief(step));
        wait(step.id(), name, branch.waitUpTo().get(), amount -> deciding(branch.id(), amount));
      }
    }
  }

  private interface OfAmount {
    UnaryOperator<Journey> with(Amount amount);
  }

  private static UnaryOperator<Journey> waiting(StepId id, Amount amount) {
    return journey ->
        StepEdits.change(
            journey,
            id,
            step ->
                new Step.Wait(
                    id,
                    new WaitRule.For(
                        amount, ((WaitRule.For) ((Step.Wait) step).rule()).thenUntil())));
  }

  private static UnaryOperator<Journey> deciding(StepId id, Amount amount) {
    return journey ->
        StepEdits.change(
            journey,
            id,
            step -> {
              Step.Branch branch = (Step.Branch) step;
              return new Step.Branch(id, Optional.of(amount), branch.arms(), branch.otherwise());
            });
  }

  private void wait(StepId id, String name, Amount amount, OfAmount change) {
    double count = amount.count();
    boolean whole = count >= 2 && count == Math.rint(count);
    double least = Math.max(whole || count == 1 ? 1 : count / 4, Math.rint(count / 4));
    double most = Math.max(count * 3, count + 3);
    knobs.add(
        new Knob(
            "wait:" + id,
            name,
            amount.unit().name().toLowerCase(java.util.Locale.ROOT),
            count,
            whole ? count - 1 : count == 1 ? 1 : count / 2,
            whole || count == 1 ? count + 1 : count * 2,
            least,
            most,
            id.value(),
            (from, value) ->
                from.with(
                    change
                        .with(Amount.of(fitting(value, amount), amount.unit()))
                        .apply(from.journey()))));
  }

  /** Days and longer are whole. */
  private static double fitting(double value, Amount like) {
    return like.unit().exact() ? value : Math.max(1, Math.rint(value));
  }

  private void emails() {
    Journey expanded = Strands.expand(plan.journey(), plan.catalogue());
    for (Step.Send send : expanded.sends()) {
      Reaction reaction = plan.behaviour().reactionTo(send.id());
      String name = "\u201c%s\u201d".formatted(sentences.brief(send));
      factor(
          "pull:" + send.id(),
          "Opens of " + name,
          "times the odds",
          reaction.pull(),
          0.2,
          5,
          send.id(),
          (behaviour, value) ->
              with(behaviour, send.id(), r -> reaction(r, value, r.clickGivenOpen())));
      share(
          "click:" + send.id(),
          "Clicks of openers of " + name,
          reaction.clickGivenOpen(),
          send.id(),
          (behaviour, value) -> with(behaviour, send.id(), r -> reaction(r, r.pull(), value)));
    }
  }

  private static Reaction reaction(Reaction from, Assumed pull, Assumed click) {
    return new Reaction(
        pull, click, from.unsubscribeGivenOpen(), from.complaintGivenOpen(), from.linkWeights());
  }

  private static Behaviour with(Behaviour behaviour, StepId email, UnaryOperator<Reaction> change) {
    Map<StepId, Reaction> emails = new HashMap<>(behaviour.emails());
    emails.put(email, change.apply(behaviour.reactionTo(email)));
    return behaviour.edit().emails(emails).done();
  }

  private void reactions() {
    Behaviour behaviour = plan.behaviour();
    factor(
        "open-median",
        "Half of openers have opened by",
        "hours",
        behaviour.openMedianHours(),
        0.25,
        48,
        null,
        edited(BehaviourEdit::openMedianHours));
    share(
        "buy-after-click",
        "Buy after a click",
        behaviour.buyAfterClick(),
        null,
        edited(BehaviourEdit::buyAfterClick));
    factor(
        "buy-mean",
        "From click to purchase, on average",
        "hours",
        behaviour.buyMeanHours(),
        1,
        168,
        null,
        edited(BehaviourEdit::buyMeanHours));
  }

  private static BiFunction<Behaviour, Assumed, Behaviour> edited(
      BiFunction<BehaviourEdit, Assumed, BehaviourEdit> set) {
    return (behaviour, value) -> set.apply(behaviour.edit(), value).done();
  }

  private void groups() {
    boolean cart =
        plan.journey().triggers().stream().anyMatch(Trigger.LeavesCart.class::isInstance);
    List<AudienceGroup> groups = plan.cohort().groups();
    for (int i = 0; i < groups.size(); i++) {
      AudienceGroup group = groups.get(i);
      int at = i;
      String of = groups.size() == 1 ? "" : " of \u201c%s\u201d".formatted(group.name());
      inCohort(
          "keenness:" + i,
          "Keenness" + of,
          100 * group.keenness().mean(),
          (cohort, value) ->
              withGroup(
                  cohort,
                  at,
                  g -> g.edit().keenness(new Keenness(value, g.keenness().spread())).done()));
      inCohort(
          cart ? "returns:" + i : "buys-anyway:" + i,
          (cart ? "Return to their cart by themselves" : "Buy anyway, within 30 days") + of,
          100 * (cart ? group.returnsToCart() : group.buysAnyway()).value(),
          (cohort, value) ->
              withGroup(
                  cohort,
                  at,
                  g ->
                      cart
                          ? g.edit().returnsToCart(Assumed.byHand(value)).done()
                          : g.edit().buysAnyway(Assumed.byHand(value)).done()));
      if (groups.size() > 1) {
        inCohort(
            "share:" + i,
            "Share" + of,
            100 * group.share(),
            (cohort, value) -> withShare(cohort, at, value));
      }
    }
  }

  private static CohortPlan withGroup(
      CohortPlan cohort, int at, UnaryOperator<AudienceGroup> change) {
    List<AudienceGroup> groups = new ArrayList<>(cohort.groups());
    groups.set(at, change.apply(groups.get(at)));
    return new CohortPlan(cohort.people(), groups, cohort.arrivals(), cohort.holdOut());
  }

  /** The other groups keep their proportions. */
  private static CohortPlan withShare(CohortPlan cohort, int at, double share) {
    List<AudienceGroup> groups = new ArrayList<>();
    double others = 1 - cohort.groups().get(at).share();
    for (int i = 0; i < cohort.groups().size(); i++) {
      AudienceGroup group = cohort.groups().get(i);
      double other =
          others > 0
              ? group.share() * (1 - share) / others
              : (1 - share) / (cohort.groups().size() - 1);
      groups.add(group.edit().share(i == at ? share : other).done());
    }
    return new CohortPlan(cohort.people(), groups, cohort.arrivals(), cohort.holdOut());
  }

  private void factor(
      String id,
      String name,
      String unit,
      Assumed assumed,
      double least,
      double most,
      @Nullable StepId step,
      BiFunction<Behaviour, Assumed, Behaviour> set) {
    double value = assumed.value();
    knobs.add(
        new Knob(
            id,
            name,
            unit,
            value,
            value * LESS,
            value * MORE,
            Math.min(least, value / 2),
            Math.max(most, value * 2),
            step == null ? null : step.value(),
            (from, other) -> from.with(set.apply(from.behaviour(), Assumed.byHand(other)))));
  }

  private void share(
      String id,
      String name,
      Assumed assumed,
      @Nullable StepId step,
      BiFunction<Behaviour, Assumed, Behaviour> set) {
    double percent = 100 * assumed.value();
    knobs.add(
        ofShare(
            id,
            name,
            percent,
            step == null ? null : step.value(),
            (from, other) -> from.with(set.apply(from.behaviour(), Assumed.byHand(other / 100)))));
  }

  private void inCohort(
      String id, String name, double percent, BiFunction<CohortPlan, Double, CohortPlan> set) {
    knobs.add(
        ofShare(
            id,
            name,
            percent,
            null,
            (from, other) -> from.with(set.apply(from.cohort(), other / 100))));
  }

  private static Knob ofShare(
      String id,
      String name,
      double percent,
      @Nullable String step,
      BiFunction<VariedRun, Double, VariedRun> set) {
    double largest = 100 * LARGEST_SHARE;
    return new Knob(
        id,
        name,
        "%",
        percent,
        percent * LESS,
        Math.max(percent, Math.min(largest, percent * MORE)),
        0.5,
        Math.max(percent, Math.min(largest, Math.max(10, percent * 3))),
        step,
        set);
  }
}
