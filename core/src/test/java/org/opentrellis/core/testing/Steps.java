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
import org.opentrellis.core.behaviour.FieldGuess;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.behaviour.Reaction;
import org.opentrellis.core.behaviour.TypicalBehaviour;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.TimeOfDay;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.journey.Arm;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.EmailRef;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Otherwise;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.RecordChange;
import org.opentrellis.core.journey.SplitArm;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.journey.WaitRule;

/** Journeys and assumptions in few words, for tests. */
public final class Steps {
  public static final ZoneId BERLIN = ZoneId.of("Europe/Berlin");
  public static final MessageId MESSAGE = new MessageId("hello");
  public static final Catalogue MESSAGES =
      Catalogue.of(
          List.of(
              Message.email("hello", "Hello", "Hello there"),
              Message.email("linked", "Linked", "With links", "A", "B")));

  private Steps() {}

  public static StepId id(String id) {
    return new StepId(id);
  }

  public static Step.SendEmail send(String id) {
    return Step.SendEmail.of(id(id), MESSAGE);
  }

  public static Step pause(String id, double count, TimeUnit unit) {
    return waits(id, WaitRule.of(count, unit));
  }

  public static Step waits(String id, WaitRule rule) {
    return new Step.Wait(id(id), rule);
  }

  public static Step untilNine(String id) {
    return waits(id, new WaitRule.Until(TimeOfDay.daily(LocalTime.of(9, 0))));
  }

  /** A branch with one arm; the arms' ids are the branch's with a suffix. */
  public static Step branch(
      String id, Condition condition, Amount waitUpTo, List<Step> then, List<Step> otherwise) {
    return new Step.Branch(
        id(id),
        Optional.ofNullable(waitUpTo),
        List.of(new Arm(id(id + "-a"), condition, then)),
        new Otherwise(id(id + "-else"), otherwise));
  }

  /** A split test in two; the arms' ids are the split's with a suffix. */
  public static Step split(String id, double percent, List<Step> first, List<Step> second) {
    return new Step.SplitTest(
        id(id),
        List.of(
            new SplitArm(id(id + "-a"), percent, first),
            new SplitArm(id(id + "-b"), 100 - percent, second)));
  }

  public static Step tag(String id, String tag) {
    return new Step.Change(id(id), List.of(new RecordChange.AddTag(new TagName(tag))));
  }

  public static Step finish(String id) {
    return new Step.Finish(id(id));
  }

  public static Condition opened(String email) {
    return new Condition.Opened(of(email), false, Optional.empty());
  }

  public static Condition openedByPeople(String email) {
    return new Condition.Opened(of(email), true, Optional.empty());
  }

  public static Condition clicked(String email) {
    return new Condition.Clicked(of(email), Optional.empty(), Optional.empty());
  }

  public static Condition hasTag(String tag) {
    return new Condition.HasTag(new TagName(tag));
  }

  public static EmailRef of(String email) {
    return new EmailRef.OfStep(id(email));
  }

  public static Journey journey(Step... body) {
    return journey(Optional.of(Goal.bought(30, true)), body);
  }

  public static Journey journey(Optional<Goal> goal, Step... body) {
    return Journey.empty("A test", Purpose.WELCOME)
        .edit()
        .triggers(List.of(new Trigger.JoinsList(new ListName("Newcomers"))))
        .goal(goal)
        .body(Arrays.asList(body))
        .done();
  }

  /** People of one group who open as given and do nothing else. */
  public static Behaviour onlyOpens(Keenness keenness) {
    return behaviour(group(keenness, 0), 0);
  }

  public static Behaviour behaviour(AudienceGroup group, double buyAfterClick) {
    return TypicalBehaviour.in(BERLIN)
        .edit()
        .groups(List.of(group))
        .openMedianHours(Assumed.typical(2))
        .openSigma(Assumed.typical(1.9389829614324))
        .buyAfterClick(Assumed.typical(buyAfterClick))
        .usual(reaction(1, buyAfterClick > 0 ? 0.3 : 0, 0))
        .done();
  }

  public static Reaction reaction(double pull, double click, double unsubscribe) {
    return new Reaction(
        Assumed.typical(pull),
        Assumed.typical(click),
        Assumed.typical(unsubscribe),
        Assumed.typical(0),
        List.of());
  }

  public static AudienceGroup group(Keenness keenness, double buysAnyway) {
    return group(keenness, buysAnyway, 0, Map.of());
  }

  public static AudienceGroup group(
      Keenness keenness, double buysAnyway, double comesAgain, Map<FieldName, FieldGuess> fields) {
    Assumed none = Assumed.typical(0);
    return new AudienceGroup(
        "All",
        1,
        keenness,
        BERLIN,
        0,
        24,
        none,
        none,
        none,
        Assumed.typical(1),
        Assumed.typical(buysAnyway),
        none,
        Assumed.typical(20),
        Assumed.typical(comesAgain),
        Set.of(),
        Set.of(),
        fields,
        Map.of(),
        Map.of());
  }
}
