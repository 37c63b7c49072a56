package org.opentrellis.app.journeys;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.SaveLost;
import org.opentrellis.app.revisions.Revisions;
import org.opentrellis.app.storage.AgainIfTaken;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyState;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Severity;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is done with a journey as a whole: opening and stopping, copying, putting away. */
@Service
@Transactional
public class JourneyShelf {
  private final JourneyMapper mapper;
  private final Journeys journeys;
  private final Cards cards;
  private final Revisions revisions;
  private final Running running;
  private final ApplicationEventPublisher events;

  JourneyShelf(
      JourneyMapper mapper,
      Journeys journeys,
      Cards cards,
      Revisions revisions,
      Running running,
      ApplicationEventPublisher events) {
    this.mapper = mapper;
    this.journeys = journeys;
    this.cards = cards;
    this.revisions = revisions;
    this.running = running;
    this.events = events;
  }

  /**
   * Changes a journey's state.
   *
   * @throws ProblemsFound if it may not be opened yet, or does not lead there from its state
   * @throws SaveLost if somebody else has saved since
   */
  JourneyView change(long id, JourneyEdits.StateSave save) {
    revisions.hold();
    JourneyView view = journeys.view(id);
    if (view.stateChanges().stream().noneMatch(change -> change.to() == save.state())) {
      throw refused(
          "no-such-change",
          "A journey that is %s cannot become %s."
              .formatted(word(journeys.find(id).journey().state()), word(save.state())));
    }
    if (view.archived()) {
      throw refused("archived", "Bring the journey back first: it is archived.");
    }
    if (save.state() == JourneyState.OPEN) {
      requireNoErrors(view);
    }
    if (view.version() != save.version()) {
      throw new SaveLost(
          "Somebody else has saved this journey since you opened it. Look at it as it is now.",
          view,
          save);
    }
    KeptJourney kept = journeys.find(id);
    Journey changed = kept.journey().edit().state(save.state()).done();
    Look look = journeys.write(kept, changed, save.by()).orElseThrow();
    events.publishEvent(
        new JourneyStateChanged(id, save.state(), !Boolean.TRUE.equals(save.finishBegun())));
    return JourneyView.of(look, running);
  }

  /**
   * Opens a journey as it is saved.
   *
   * @throws ProblemsFound if it may not be opened yet
   */
  public void open(long id) {
    become(id, JourneyState.OPEN);
  }

  /** People go on with an open journey as it is saved now, those inside, too. */
  public void putIntoEffect(long id) {
    events.publishEvent(new JourneyStateChanged(id, JourneyState.OPEN, true));
  }

  /** A stopped journey is a plan again. */
  public void plan(long id) {
    become(id, JourneyState.DRAFT);
  }

  /** Puts away what nobody is in any more. */
  public void putAway(long id) {
    archive(id, true);
  }

  /** Nobody new enters an open journey any more. */
  public void close(long id) {
    become(id, JourneyState.CLOSING);
  }

  /** Nobody enters a journey any more, and those inside leave now. */
  public void stop(long id) {
    become(id, JourneyState.STOPPED);
  }

  private void become(long id, JourneyState state) {
    change(id, new JourneyEdits.StateSave(journeys.find(id).version(), state, null, false));
  }

  private static void requireNoErrors(JourneyView view) {
    List<Problem> errors =
        view.findings().stream()
            .filter(finding -> finding.severity() == Severity.ERROR)
            .map(
                finding ->
                    new Problem(
                        "cannot-open",
                        finding.step() == null ? "" : "/steps/" + finding.step(),
                        "It cannot be opened yet: " + finding.sentence()))
            .toList();
    if (!errors.isEmpty()) {
      throw new ProblemsFound(errors);
    }
  }

  /** Adds a copy, as a draft under a name of its own. */
  @AgainIfTaken
  JourneyView duplicate(long id) {
    KeptJourney kept = journeys.find(id);
    String name = journeys.freeName(kept.journey().name());
    Journey copy = kept.journey().edit().name(name).state(JourneyState.DRAFT).done();
    return journeys.view(journeys.add(copy, kept.behaviour(), kept.starter()));
  }

  /**
   * Puts a journey away, or brings it back.
   *
   * @throws ProblemsFound if people may still be in it
   */
  JourneyView archive(long id, boolean away) {
    revisions.hold();
    JourneyState state = journeys.find(id).journey().state();
    if (away && (state == JourneyState.OPEN || state == JourneyState.CLOSING)) {
      throw refused(
          "still-open",
          "This journey is %s. Stop it first: whoever is inside would be left there, %s."
              .formatted(word(state), inside(id)));
    }
    mapper.archive(id, away);
    cards.archived(id);
    return journeys.view(id);
  }

  private String inside(long id) {
    long people = running.insideAtSteps(id).values().stream().mapToLong(Long::longValue).sum();
    return people == 0
        ? "which is nobody now"
        : "which %s %,d now".formatted(people == 1 ? "is" : "are", people);
  }

  private static String word(@Nullable JourneyState state) {
    return String.valueOf(state).toLowerCase(java.util.Locale.ROOT);
  }

  private static ProblemsFound refused(String code, String sentence) {
    return new ProblemsFound(List.of(new Problem(code, "", sentence)));
  }
}
