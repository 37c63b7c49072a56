package org.opentrellis.core.search;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.opentrellis.core.arrange.Arranged;
import org.opentrellis.core.arrange.Series;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.Reaction;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepEdits;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.journey.Tries;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.vary.VariedRun;

/** What may vary about emails: how often they are tried again, their order, whether they are. */
final class EmailFactors {
  private final Factors factors;

  EmailFactors(Factors factors) {
    this.factors = factors;
  }

  /** An email and the further tries of it that the journey itself has, in order. */
  static List<StepId> chain(VariedRun plan, StepId email) {
    Set<StepId> own = new HashSet<>(plan.journey().emails().stream().map(Step::id).toList());
    return Tries.of(Strands.expand(plan.journey(), plan.catalogue())).stream()
        .filter(chain -> chain.get(0).equals(email) && own.containsAll(chain))
        .findFirst()
        .orElse(List.of(email));
  }

  Factor tries(Leeway.Tries leeway) {
    Step step = email(leeway.step());
    String name = factors.sentences().brief(step);
    int now = chain(factors.plan(), step.id()).size() - 1;
    List<Integer> counts = new ArrayList<>();
    for (int n = 0; n <= Math.max(now, leeway.to()); n++) {
      if (n == now || n >= leeway.from() && n <= leeway.to()) {
        counts.add(n);
      }
    }
    List<Level> levels =
        counts.stream()
            .map(
                n ->
                    new Level(
                        Integer.toString(n),
                        further(n),
                        "\u201c%s\u201d with %s instead of %s"
                            .formatted(name, further(n), further(now)),
                        from -> tried(from, step.id(), n)))
            .toList();
    return new Factor(
        "tries:" + step.id(),
        "How often \u201c%s\u201d is tried again".formatted(name),
        levels,
        counts.indexOf(now));
  }

  private static String further(int tries) {
    return switch (tries) {
      case 0 -> "no second try";
      case 1 -> "a second try";
      case 2 -> "two more tries";
      default -> "three more tries";
    };
  }

  /** With as many further tries; those that are new are reacted to as the email itself is. */
  private static VariedRun tried(VariedRun plan, StepId email, int times) {
    List<StepId> chain = chain(plan, email);
    int now = chain.size() - 1;
    if (plan.journey().emails().stream().noneMatch(one -> one.id().equals(email))) {
      return plan;
    }
    if (times < now) {
      return plan.with(without(plan.journey(), chain.subList(times + 1, chain.size())));
    }
    if (times == now) {
      return plan;
    }
    Arranged more = new Series(plan.journey(), plan.catalogue()).tryAgain(chain, times - now);
    return more instanceof Arranged.Done done
        ? plan.with(done.journey()).with(likeFirst(plan.behaviour(), email, done.steps()))
        : plan;
  }

  private static Behaviour likeFirst(Behaviour behaviour, StepId first, List<Step> tries) {
    Map<StepId, Reaction> emails = new HashMap<>(behaviour.emails());
    tries.stream()
        .filter(Step.SendEmail.class::isInstance)
        .forEach(again -> emails.putIfAbsent(again.id(), behaviour.reactionTo(first)));
    return behaviour.edit().emails(emails).done();
  }

  /** Steps go with the waits right before them, which were there for them. */
  private static Journey without(Journey journey, List<StepId> gone) {
    Set<StepId> all = new HashSet<>(gone);
    gone.forEach(id -> Neighbours.waitBefore(journey, id).ifPresent(wait -> all.add(wait.id())));
    return StepEdits.without(journey, all);
  }

  Factor order(Leeway.Order leeway) {
    Step first = email(leeway.step());
    Step second =
        Neighbours.emailBehind(factors.plan().journey(), first.id())
            .orElseThrow(
                () -> new Refused("no email follows step %s directly".formatted(first.id())));
    String one = factors.sentences().brief(first);
    String other = factors.sentences().brief(second);
    return new Factor(
        "order:" + first.id(),
        "The order of \u201c%s\u201d and \u201c%s\u201d".formatted(one, other),
        List.of(
            asIs("as it is", "\u201c%s\u201d before \u201c%s\u201d".formatted(one, other)),
            new Level(
                "swapped",
                "changed places",
                "\u201c%s\u201d before \u201c%s\u201d".formatted(other, one),
                from -> from.with(swapped(from.journey(), first.id(), second.id())))),
        0);
  }

  private static Level asIs(String brief, String words) {
    return new Level("as-is", brief, words, from -> from);
  }

  /** Two emails change places; what stands between them stays where it is. */
  private static Journey swapped(Journey journey, StepId one, StepId other) {
    Optional<Step> first = find(journey, one);
    Optional<Step> second = find(journey, other);
    if (first.isEmpty() || second.isEmpty()) {
      return journey;
    }
    return StepEdits.exchange(journey, first.get(), second.get());
  }

  private static Optional<Step> find(Journey journey, StepId id) {
    return journey.steps().filter(step -> step.id().equals(id)).findFirst();
  }

  Factor absence(Leeway.Absence leeway) {
    Step step = factors.step(leeway.step());
    if (!step.ways().isEmpty()) {
      throw new Refused("step %s parts people, so it cannot be left out".formatted(step.id()));
    }
    List<StepId> chain =
        step instanceof Step.SendEmail ? chain(factors.plan(), step.id()) : List.of(step.id());
    String name =
        step instanceof Step.Send
            ? "\u201c" + factors.sentences().brief(step) + "\u201d"
            : "\u201c" + factors.placed(step) + "\u201d";
    return new Factor(
        "absence:" + step.id(),
        "Whether %s is there".formatted(name),
        List.of(
            asIs("there", "With " + name),
            new Level(
                "without",
                "left out",
                "Without %s%s".formatted(name, chain.size() > 1 ? " and its further tries" : ""),
                from -> from.with(leftOut(from, step.id())))),
        0);
  }

  private static Journey leftOut(VariedRun plan, StepId id) {
    List<StepId> chain = chain(plan, id);
    Journey shorter = without(plan.journey(), chain.subList(1, chain.size()));
    return StepEdits.without(shorter, Set.of(id));
  }

  private Step email(StepId id) {
    Step step = factors.step(id);
    if (step instanceof Step.SendEmail) {
      return step;
    }
    throw new Refused("step %s sends no email".formatted(id));
  }
}
