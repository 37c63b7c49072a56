package org.opentrellis.core.journey;

import java.time.ZoneId;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.opentrellis.core.calendar.SendWindow;
import org.opentrellis.core.problem.Refused;

/**
 * A journey: who comes in, what happens to them, and what for. A tree of steps, so it always ends.
 *
 * @param name not blank, at most 80 characters
 * @param triggers what brings people in; none while it is being planned
 * @param entryFilter who of them may enter
 * @param reEntry whether they may come again
 * @param leaveWhen people leave as soon as one of these holds, and some change over into another
 *     journey; unsubscribing, a dead address and being erased always end a journey
 * @param goal what it is for, if that is said
 * @param secondaryGoals what else it is for; at most 5, each of them once
 * @param sendWindow when its emails and texts may go out; empty for always
 * @param zone the zone that its times are in; empty for each person's own
 * @param frequencyGuard how many emails are enough
 * @param sender who its emails come from, unless a step says otherwise
 * @param body the steps, in order
 */
public record Journey(
    String name,
    Purpose purpose,
    JourneyState state,
    List<Trigger> triggers,
    Optional<Condition> entryFilter,
    ReEntry reEntry,
    List<LeaveRule> leaveWhen,
    Optional<Goal> goal,
    List<SecondaryGoal> secondaryGoals,
    Optional<SendWindow> sendWindow,
    Optional<ZoneId> zone,
    Optional<FrequencyGuard> frequencyGuard,
    Optional<String> sender,
    List<Step> body) {

  private static final int MOST_SECONDARY_GOALS = 5;

  public Journey {
    name = Text.named("a journey's name", name, 80);
    triggers = List.copyOf(triggers);
    leaveWhen = List.copyOf(leaveWhen);
    secondaryGoals = List.copyOf(secondaryGoals);
    requireFew(secondaryGoals);
    sender = sender.map(text -> Text.named("a sender", text, 120));
    body = List.copyOf(body);
    requireUniqueIds(body);
  }

  /** A draft that nobody enters yet, with nothing in it. */
  public static Journey empty(String name, Purpose purpose) {
    return new Journey(
        name,
        purpose,
        JourneyState.DRAFT,
        List.of(),
        Optional.empty(),
        new ReEntry.Never(),
        List.of(),
        Optional.empty(),
        List.of(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        List.of());
  }

  /** Every step, in the order of the run sheet. */
  public Stream<Step> steps() {
    return body.stream().flatMap(Step::all);
  }

  /** The steps that send email, in the order of the run sheet. */
  public List<Step.SendEmail> emails() {
    return only(Step.SendEmail.class);
  }

  /** The steps that send something, in the order of the run sheet. */
  public List<Step.Send> sends() {
    return only(Step.Send.class);
  }

  /** The conditions by which people leave. */
  public Stream<Condition> leaveConditions() {
    return leaveWhen.stream().map(LeaveRule::when);
  }

  /** The name that others hand people over by. */
  public JourneyName journeyName() {
    return new JourneyName(name);
  }

  /** The steps of one kind, in the order of the run sheet. */
  public <T extends Step> List<T> only(Class<T> kind) {
    return steps().filter(kind::isInstance).map(kind::cast).toList();
  }

  /** A copy to be changed. */
  public JourneyEdit edit() {
    return new JourneyEdit(this);
  }

  public Journey withBody(List<Step> other) {
    return edit().body(other).done();
  }

  private static void requireFew(List<SecondaryGoal> goals) {
    if (goals.size() > MOST_SECONDARY_GOALS) {
      throw new Refused(
          "a journey has at most %d secondary goals, not %d"
              .formatted(MOST_SECONDARY_GOALS, goals.size()));
    }
    if (new HashSet<>(goals).size() < goals.size()) {
      throw new Refused("two secondary goals are the same");
    }
  }

  static void requireUniqueIds(List<Step> body) {
    Set<StepId> seen = new HashSet<>();
    body.stream()
        .flatMap(Step::all)
        .flatMap(Step::ids)
        .forEach(
            id -> {
              if (!seen.add(id)) {
                throw new Refused("the id " + id + " is used twice");
              }
            });
  }
}
