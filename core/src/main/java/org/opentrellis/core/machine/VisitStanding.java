package org.opentrellis.core.machine;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.SecondaryGoal;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.journey.Variant;

/** Puts one visit down and takes it up again. */
final class VisitStanding {
  private VisitStanding() {}

  static VisitState freeze(Visit visit) {
    Program program = visit.program;
    List<VisitState.Message> messages = new ArrayList<>(visit.gone());
    for (int n = 0; n < visit.sends(); n++) {
      messages.add(freeze(visit.sentInOrder(n)));
    }
    int by = visit.unsubscribedBy();
    return new VisitState(
        program.name(),
        program.version(),
        visit.number,
        visit.over() ? Optional.empty() : Optional.of(program.steps().get(visit.node).id()),
        trigger(visit),
        visit.origin < 0
            ? Optional.empty()
            : Optional.of(visit.person.world.names().journeys.name(visit.origin)),
        visit.entryAt,
        visit.cameAt,
        visit.waiting,
        visit.waiting ? visit.until : Person.NEVER,
        visit.steppedAt,
        visit.now,
        visit.goal.freeze(),
        secondaryGoals(visit),
        messages,
        by < 0 ? Optional.empty() : Optional.of(program.sends().get(by).id()),
        visit.unsubscribesAt());
  }

  private static List<VisitState.SecondaryMet> secondaryGoals(Visit visit) {
    List<VisitState.SecondaryMet> all = new ArrayList<>();
    List<SecondaryGoal> goals = visit.program.journey().secondaryGoals();
    for (int n = 0; n < goals.size(); n++) {
      all.add(new VisitState.SecondaryMet(goals.get(n), visit.secondaryGoals[n].freeze()));
    }
    return all;
  }

  private static void takeSecondaryGoals(VisitState state, Visit visit) {
    List<SecondaryGoal> goals = visit.program.journey().secondaryGoals();
    for (int n = 0; n < goals.size(); n++) {
      state.secondary(goals.get(n)).ifPresent(visit.secondaryGoals[n]::thaw);
    }
  }

  private static Optional<Trigger> trigger(Visit visit) {
    return visit.trigger < 0
        ? Optional.empty()
        : Optional.of(visit.program.journey().triggers().get(visit.trigger));
  }

  private static VisitState.Message freeze(Sent sent) {
    Program program = sent.visit().program;
    Step.Send step = program.sends().get(sent.send());
    List<LinkName> links = program.messages(sent.send()).get(sent.variant()).links();
    Map<LinkName, Long> clicks = new HashMap<>();
    for (int slot = 0; slot < program.linkSlots().size(); slot++) {
      LinkSlots.Slot one = program.linkSlots().get(slot);
      if (one.send() == sent.send() && sent.visit().linkClickAt(slot) != Person.NEVER) {
        clicks.put(one.link(), sent.visit().linkClickAt(slot));
      }
    }
    boolean clicked = sent.clickAt() != Person.NEVER && sent.clickedLink() >= 0;
    return new VisitState.Message(
        step.id(),
        step.versions().isEmpty()
            ? Optional.empty()
            : Optional.of(step.versions().get(sent.variant()).id()),
        sent.at(),
        sent.deliveredAt(),
        sent.bouncedAt(),
        sent.recordedOpenAt(),
        sent.peopleOpenAt(),
        sent.clickAt(),
        clicked ? Optional.of(links.get(sent.clickedLink())) : Optional.empty(),
        clicks,
        sent.orderAt(),
        sent.orderAt() == Person.NEVER ? 0 : sent.orderCents());
  }

  /** Adds the visit to a person, if its journey is in their world. */
  static void thaw(VisitState state, Person person) {
    World world = person.world;
    Optional<Program> here =
        world.version(state.journey(), state.version()).or(() -> world.current(state.journey()));
    if (here.isEmpty()) {
      return;
    }
    Program program = here.get();
    Visit visit = person.visits.add(program, person);
    visit.begin(
        state.by().map(program::positionOf).orElse(-1),
        state.handedOverBy().map(name -> origin(name, world)).orElse(-1),
        state.number(),
        state.entryAt(),
        program.clockFor(person.clock));
    visit.cameAt = state.cameAt();
    visit.node = state.step().map(program::nodeOf).orElse(Visit.OVER);
    visit.waiting = state.waiting() && !visit.over();
    visit.steppedAt = state.steppedAt();
    visit.now = state.at();
    visit.goal.thaw(state.goal());
    takeSecondaryGoals(state, visit);
    for (VisitState.Message message : state.messages()) {
      thaw(message, visit);
    }
    state
        .unsubscribedBy()
        .map(program::sendOf)
        .filter(send -> send >= 0)
        .ifPresent(send -> visit.unsubscribes(send, state.unsubscribesAt()));
    if (visit.waiting) {
      visit.awaited = awaited(visit.stand());
      visit.until = state.until() == VisitState.ANEW ? untilAnew(visit) : state.until();
    }
  }

  private static int origin(JourneyName name, World world) {
    return world.names().journeys.of(name);
  }

  private static void thaw(VisitState.Message state, Visit visit) {
    Program program = visit.program;
    int send = program.sendOf(state.step());
    if (send < 0) {
      visit.keepGone(state);
      return;
    }
    List<LinkName> links = program.messages(send).get(variant(state, program, send)).links();
    visit.takesUp(send, variant(state, program, send), state, links);
    for (int slot = 0; slot < program.linkSlots().size(); slot++) {
      LinkSlots.Slot one = program.linkSlots().get(slot);
      Long at = one.send() == send ? state.linkClickedAt().get(one.link()) : null;
      if (at != null) {
        visit.clicked(slot, at);
      }
    }
  }

  private static int variant(VisitState.Message state, Program program, int send) {
    List<StepId> ids = program.sends().get(send).versions().stream().map(Variant::id).toList();
    return Math.max(0, state.variant().map(ids::indexOf).orElse(0));
  }

  /** Until when somebody waits at a step that has changed meanwhile. */
  private static long untilAnew(Visit visit) {
    long now = visit.now;
    visit.now = visit.steppedAt;
    long until =
        switch (visit.stand()) {
          case Node.Wait wait -> wait.timer().endsAt(visit);
          case Node.WaitFor wait -> wait.atMost().endsAt(visit);
          case Node.Branch branch -> branch.waitUpTo().endsAt(visit);
          case Node.Send send -> now;
          case Node.Split split -> now;
          case Node.Change change -> now;
          case Node.HandOver over -> now;
          case Node.Pass pass -> now;
          case Node.Finish finish -> now;
        };
    visit.now = now;
    return Math.max(now, until);
  }

  /** What may end the waiting at a step sooner. */
  static Question[] awaited(Node node) {
    return switch (node) {
      case Node.WaitFor waits -> waits.awaited();
      case Node.Branch branch -> branch.questions();
      case Node.Send send -> Visit.NOTHING_AWAITED;
      case Node.Wait wait -> Visit.NOTHING_AWAITED;
      case Node.Split split -> Visit.NOTHING_AWAITED;
      case Node.Change change -> Visit.NOTHING_AWAITED;
      case Node.HandOver over -> Visit.NOTHING_AWAITED;
      case Node.Pass pass -> Visit.NOTHING_AWAITED;
      case Node.Finish finish -> Visit.NOTHING_AWAITED;
    };
  }
}
