package org.opentrellis.core.live;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.SecondaryGoal;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.PersonState;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.machine.VisitState;

/** Finds the goals that were met in a turn, whoever of the visits is over by then. */
final class GoalsMet {
  private GoalsMet() {}

  /**
   * A goal that comes with the calendar alone is looked for to its end, since nobody asks later.
   */
  static void lookAhead(Visit visit) {
    Journey journey = visit.program().journey();
    journey.goal().ifPresent(goal -> visit.goalMetAt(limit(visit, goal.withinDays())));
    List<SecondaryGoal> secondary = journey.secondaryGoals();
    for (int n = 0; n < secondary.size(); n++) {
      visit.secondaryGoalMetAt(n, limit(visit, secondary.get(n).withinDays()));
    }
  }

  private static long limit(Visit visit, int days) {
    return visit.entryAt() + (long) days * ZoneClock.DAY;
  }

  static void note(PersonState before, PersonState after, Deeds deeds) {
    for (VisitState visit : after.visits()) {
      Optional<VisitState> was =
          before.visits().stream()
              .filter(one -> one.journey().equals(visit.journey()))
              .filter(one -> one.number() == visit.number())
              .findFirst();
      long then = was.map(one -> metBy(one.goal(), before.now())).orElse(Person.NEVER);
      long now = metBy(visit.goal(), after.now());
      if (then == Person.NEVER && now != Person.NEVER) {
        deeds.goalMet(Deed.Kind.GOAL_MET, visit, now, Optional.empty());
      }
      secondary(was, before.now(), visit, after.now(), deeds);
    }
  }

  private static void secondary(
      Optional<VisitState> was, long wasNow, VisitState visit, long now, Deeds deeds) {
    List<VisitState.SecondaryMet> goals = visit.secondaryGoals();
    for (int n = 0; n < goals.size(); n++) {
      SecondaryGoal goal = goals.get(n).goal();
      long then =
          was.flatMap(one -> one.secondary(goal))
              .map(met -> metBy(met, wasNow))
              .orElse(Person.NEVER);
      long met = metBy(goals.get(n).met(), now);
      if (then == Person.NEVER && met != Person.NEVER) {
        deeds.goalMet(Deed.Kind.SECONDARY_GOAL_MET, visit, met, Optional.of(Integer.toString(n)));
      }
    }
  }

  /** When the next goal is going to be met, as far as is known, or {@link Person#NEVER}. */
  static long nextAt(PersonState standing) {
    return standing.visits().stream()
        .flatMap(
            visit ->
                Stream.concat(
                    Stream.of(visit.goal()),
                    visit.secondaryGoals().stream().map(VisitState.SecondaryMet::met)))
        .filter(met -> met.at() == Person.NEVER && met.comesAt() > standing.now())
        .mapToLong(VisitState.Met::comesAt)
        .min()
        .orElse(Person.NEVER);
  }

  /** When a goal was met, if it was by then. */
  private static long metBy(VisitState.Met met, long now) {
    long at = Math.min(met.at(), met.comesAt());
    return at <= now ? at : Person.NEVER;
  }
}
