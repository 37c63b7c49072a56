package org.opentrellis.core.testing;

import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.opentrellis.core.behaviour.Assumed;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.behaviour.Reaction;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.TimeOfDay;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.calendar.Wait;
import org.opentrellis.core.journey.Arm;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyState;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.ReEntry;
import org.opentrellis.core.journey.RecordChange;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.journey.Trigger;

/** Journeys and assumptions in few words, for tests. */
public final class Steps {
  public static final ZoneId BERLIN = ZoneId.of("Europe/Berlin");
  public static final MessageId MESSAGE = new MessageId("hello");
  public static final List<Message> MESSAGES =
      List.of(new Message(MESSAGE, "Hello", "Hello there", List.of()));

  private Steps() {}

  public static StepId id(String id) {
    return new StepId(id);
  }

  public static Step send(String id) {
    return new Step.SendEmail(id(id), MESSAGE, Optional.empty());
  }

  public static Step pause(String id, double count, TimeUnit unit) {
    return new Step.Pause(id(id), Wait.of(count, unit));
  }

  public static Step untilNine(String id) {
    return new Step.Pause(id(id), new Wait.Until(TimeOfDay.daily(LocalTime.of(9, 0))));
  }

  /** A branch with one arm; the arms' ids are the branch's with a suffix. */
  public static Step branch(
      String id, Condition condition, Amount waitUpTo, List<Step> then, List<Step> otherwise) {
    return new Step.Branch(
        id(id),
        Optional.ofNullable(waitUpTo),
        List.of(new Arm(id(id + "-a"), condition, then)),
        new Arm(id(id + "-else"), Arm.EVERYONE, otherwise));
  }

  public static Step tag(String id, String tag) {
    return new Step.Change(id(id), List.of(new RecordChange.AddTag(new TagName(tag))));
  }

  public static Step finish(String id) {
    return new Step.Finish(id(id));
  }

  public static Condition opened(String email) {
    return new Condition.Opened(id(email), false);
  }

  public static Journey journey(Step... body) {
    return journey(Optional.of(new Goal(30, true)), body);
  }

  public static Journey journey(Optional<Goal> goal, Step... body) {
    return new Journey(
        "A test",
        Purpose.WELCOME,
        JourneyState.DRAFT,
        List.of(new Trigger.JoinsList(new ListName("Newcomers"))),
        Optional.empty(),
        ReEntry.NEVER,
        goal,
        Arrays.asList(body));
  }

  /** People of one group who open as given and do nothing else. */
  public static Behaviour onlyOpens(Keenness keenness) {
    return behaviour(group(keenness, 0), 0);
  }

  public static Behaviour behaviour(AudienceGroup group, double buyAfterClick) {
    return new Behaviour(
        List.of(group),
        Assumed.typical(2),
        Assumed.typical(1.9389829614324),
        Assumed.typical(2),
        Assumed.typical(1),
        Assumed.typical(buyAfterClick),
        Assumed.typical(18),
        new Reaction(
            Assumed.typical(1), Assumed.typical(buyAfterClick > 0 ? 0.3 : 0), Assumed.typical(0)),
        Map.of());
  }

  public static AudienceGroup group(Keenness keenness, double buysAnyway) {
    Assumed none = Assumed.typical(0);
    return new AudienceGroup(
        "All",
        1,
        keenness,
        BERLIN,
        none,
        none,
        none,
        Assumed.typical(buysAnyway),
        none,
        Set.of(),
        Set.of());
  }
}
