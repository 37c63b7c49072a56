package org.opentrellis.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.opentrellis.core.testing.Steps.MESSAGES;
import static org.opentrellis.core.testing.Steps.openedByPeople;
import static org.opentrellis.core.testing.Steps.pause;

import org.junit.jupiter.api.Test;
import org.opentrellis.core.behaviour.Assumed;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.behaviour.TypicalBehaviour;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.ReEntry;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;

/** What people kept before the format grew is still theirs. */
class FirstVersionTest {
  private static final String JOURNEY =
      """
      {"name": "A test", "purpose": "WELCOME", "state": "DRAFT",
       "triggers": [{"kind": "joinsList", "list": "Newcomers"}],
       "entryFilter": {"kind": "none", "parts": [{"kind": "onList", "list": "Members"}]},
       "reEntry": "AFTER_HAVING_LEFT", "goal": {"withinDays": 21, "leaveWhenMet": true},
       "body": [
         {"kind": "send", "id": "a", "message": "hello", "subject": null},
         {"kind": "wait", "id": "w", "amount": {"count": 1, "unit": "DAYS"}, "until": null},
         {"kind": "wait", "id": "n", "amount": null, "until": {"time": "09:00", "days": ["MONDAY"]}},
         {"kind": "branch", "id": "b", "waitUpTo": null,
          "arms": [{"id": "b-1", "condition": {"kind": "opened", "email": "a", "peopleOnly": true}, "steps": []}],
          "otherwise": {"id": "b-2", "condition": null,
            "steps": [{"kind": "change", "id": "c", "changes": [{"kind": "addTag", "tag": "t"}]}]}}]}
      """;

  @Test
  void aJourneyIsReadAsItWasMeant() {
    Journey journey = Documents.readJourney(FirstVersion.journey(Json.tree(JOURNEY)), MESSAGES);
    assertThat(journey.reEntry()).isEqualTo(new ReEntry.AfterHavingLeft());
    assertThat(journey.goal()).contains(Goal.bought(21, true));
    assertThat(journey.body().get(1)).isEqualTo(pause("w", 1, TimeUnit.DAYS));
    assertThat(journey.body().get(3).conditions()).containsExactly(openedByPeople("a"));
    assertThat(journey.steps()).hasSize(5);
    assertThat(FirstVersion.journey(Documents.write(journey))).isEqualTo(Documents.write(journey));
  }

  /** Complaints came later: a folder of the first version could not be opened for want of them. */
  @Test
  void whatWasNotAssumedThenIsTypical() {
    String kept =
        """
        {"usual": {"pull": {"value": 1.0, "origin": "TYPICAL"},
          "clickGivenOpen": {"value": 0.3, "origin": "BY_HAND"},
          "unsubscribeGivenOpen": {"value": 0.006, "origin": "TYPICAL"}}}
        """;
    Behaviour behaviour = Documents.readBehaviour(FirstVersion.behaviour(Json.tree(kept)));
    assertThat(behaviour.usual().clickGivenOpen()).isEqualTo(Assumed.byHand(0.3));
    assertThat(behaviour.usual().complaintGivenOpen())
        .isEqualTo(TypicalBehaviour.in(Documents.USUAL_ZONE).usual().complaintGivenOpen());
  }

  @Test
  void whatIsOfAnotherKindIsRefusedWithItsPlace() {
    ProblemsFound found =
        catchThrowableOfType(
            ProblemsFound.class,
            () ->
                Documents.readBehaviour(Json.tree("{\"usual\": \"x\", \"emails\": {\"a\": {}}}")));
    assertThat(found.problems()).extracting(Problem::place).contains("/usual");
  }

  @Test
  void assumptionsKeepTheirValues() {
    String kept =
        """
        {"groups": [{"name": "All", "share": 1, "keenness": 0.4, "spread": 0.2, "zone": "Europe/Berlin",
          "preloads": {"value": 0.3, "origin": "BY_HAND"}, "tags": [], "lists": []}],
         "openMedianHours": {"value": 5, "origin": "BY_HAND"}, "emails": {}}
        """;
    Behaviour behaviour = Documents.readBehaviour(FirstVersion.behaviour(Json.tree(kept)));
    assertThat(behaviour.groups().get(0).keenness()).isEqualTo(new Keenness(0.4, 0.2));
    assertThat(behaviour.groups().get(0).preloads()).isEqualTo(Assumed.byHand(0.3));
    assertThat(behaviour.openMedianHours()).isEqualTo(Assumed.byHand(5));
  }
}
