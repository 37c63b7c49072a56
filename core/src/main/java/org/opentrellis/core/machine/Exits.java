package org.opentrellis.core.machine;

/**
 * Looks for what takes a visit out of its journey, and for its goals, in what is known. A visit
 * keeps what was found; it is looked for again only when something that is watched became known.
 *
 * <p>Nobody leaves before the present, however old the evidence. A goal is met when the last thing
 * that it takes has happened, even if that became known later.
 */
final class Exits {
  private Exits() {}

  /**
   * What another visit does may count for one that has waited for long: from now on, not before.
   */
  static long present(Visit visit) {
    return Math.max(visit.now, visit.person.now);
  }

  /** Something became known now: all visits look at once, so that none of it is dated later. */
  static void around(Person person) {
    for (int i = 0; i < person.visits.size(); i++) {
      leavesAt(person.visits.get(i), person.now);
    }
    person.lateFrom = Person.NEVER;
  }

  /**
   * When the person leaves, as far as is known.
   *
   * @param to the last moment that must be looked at
   * @return a moment, which may lie behind the last that was asked for, or NEVER
   */
  static long leavesAt(Visit visit, long to) {
    if (visit.seenEvidence != visit.person.evidence || visit.lookedTo < to) {
      look(visit, to);
    }
    return visit.leavesAt;
  }

  private static void look(Visit visit, long to) {
    Person person = visit.person;
    Program program = visit.program;
    long from = present(visit);
    long upTo = program.followsTheCalendar() ? Math.max(from, to) : Person.NEVER;
    lookForGoals(visit, from, upTo);
    long at = person.departures.goneAt;
    if (program.leavesAtGoal()) {
      at = Math.min(at, visit.goal.at());
    }
    for (Question rule : program.leaveRules()) {
      at = Math.min(at, rule.firstHolds(visit, from, Math.min(at, upTo)));
    }
    visit.leavesAt = at;
    visit.lookedTo = upTo;
    visit.seenEvidence = person.evidence;
  }

  private static void lookForGoals(Visit visit, long from, long upTo) {
    Aim goal = visit.program.goalAim();
    if (goal != null) {
      visit.goal.look(goal, visit, from, upTo);
    }
    Aim[] secondary = visit.program.secondaryAims();
    for (int n = 0; n < secondary.length; n++) {
      visit.secondaryGoals[n].look(secondary[n], visit, from, upTo);
    }
  }

  /**
   * When a visit meets a goal of its journey within its limit, as far as is known; also after it is
   * over.
   *
   * @param goal one of the visit's
   * @param to the last moment that is looked at
   * @return {@link Person#NEVER} if it does not by then
   */
  static long metAt(GoalWatch goal, Visit visit, long to) {
    leavesAt(visit, to);
    return goal.at() <= to ? goal.at() : Person.NEVER;
  }
}
