package org.opentrellis.core.journey;

import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.calendar.SendWindow;

/** A journey with some parts exchanged: {@code journey.edit().goal(goal).done()}. */
public final class JourneyEdit {
  private String name;
  private Purpose purpose;
  private JourneyState state;
  private List<Trigger> triggers;
  private Optional<Condition> entryFilter;
  private ReEntry reEntry;
  private List<LeaveRule> leaveWhen;
  private Optional<Goal> goal;
  private List<SecondaryGoal> secondaryGoals;
  private Optional<SendWindow> sendWindow;
  private Optional<ZoneId> zone;
  private Optional<FrequencyGuard> frequencyGuard;
  private Optional<String> sender;
  private List<Step> body;

  JourneyEdit(Journey from) {
    name = from.name();
    purpose = from.purpose();
    state = from.state();
    triggers = from.triggers();
    entryFilter = from.entryFilter();
    reEntry = from.reEntry();
    leaveWhen = from.leaveWhen();
    goal = from.goal();
    secondaryGoals = from.secondaryGoals();
    sendWindow = from.sendWindow();
    zone = from.zone();
    frequencyGuard = from.frequencyGuard();
    sender = from.sender();
    body = from.body();
  }

  public JourneyEdit name(String other) {
    name = other;
    return this;
  }

  public JourneyEdit purpose(Purpose other) {
    purpose = other;
    return this;
  }

  public JourneyEdit state(JourneyState other) {
    state = other;
    return this;
  }

  public JourneyEdit triggers(List<Trigger> other) {
    triggers = other;
    return this;
  }

  public JourneyEdit entryFilter(Optional<Condition> other) {
    entryFilter = other;
    return this;
  }

  public JourneyEdit reEntry(ReEntry other) {
    reEntry = other;
    return this;
  }

  public JourneyEdit leaveWhen(List<LeaveRule> other) {
    leaveWhen = other;
    return this;
  }

  public JourneyEdit goal(Optional<Goal> other) {
    goal = other;
    return this;
  }

  public JourneyEdit secondaryGoals(List<SecondaryGoal> other) {
    secondaryGoals = other;
    return this;
  }

  public JourneyEdit sendWindow(Optional<SendWindow> other) {
    sendWindow = other;
    return this;
  }

  public JourneyEdit zone(Optional<ZoneId> other) {
    zone = other;
    return this;
  }

  public JourneyEdit frequencyGuard(Optional<FrequencyGuard> other) {
    frequencyGuard = other;
    return this;
  }

  public JourneyEdit sender(Optional<String> other) {
    sender = other;
    return this;
  }

  public JourneyEdit body(List<Step> other) {
    body = other;
    return this;
  }

  public Journey done() {
    return new Journey(
        name,
        purpose,
        state,
        triggers,
        entryFilter,
        reEntry,
        leaveWhen,
        goal,
        secondaryGoals,
        sendWindow,
        zone,
        frequencyGuard,
        sender,
        body);
  }
}
