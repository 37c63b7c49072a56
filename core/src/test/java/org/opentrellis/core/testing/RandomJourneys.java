package org.opentrellis.core.testing;

import java.time.DayOfWeek;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
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
import org.opentrellis.core.journey.LinkName;
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

/** Seeded random journeys and assumptions that use the whole language. */
public final class RandomJourneys {
  public static final List<Message> MESSAGES =
      List.of(
          new Message(
              new MessageId("m1"), "One", "First", List.of(new LinkName("A"), new LinkName("B"))),
          new Message(new MessageId("m2"), "Two", "Second", List.of()));

  private static final List<String> NAMES = List.of("red", "blue", "green");
  private static final List<ZoneId> ZONES =
      List.of(
          ZoneId.of("Europe/Berlin"),
          ZoneId.of("America/New_York"),
          ZoneId.of("Australia/Lord_Howe"));

  private final SplittableRandom random;
  private final List<StepId> emails = new ArrayList<>();
  private int steps;
  private int ids;

  private RandomJourneys(long seed, int steps) {
    this.random = new SplittableRandom(seed);
    this.steps = steps;
  }

  public static Journey journey(long seed, int steps) {
    return new RandomJourneys(seed, steps).journey();
  }

  private Journey journey() {
    Optional<Goal> goal =
        random.nextInt(4) == 0
            ? Optional.empty()
            : Optional.of(new Goal(1 + random.nextInt(40), random.nextBoolean()));
    Optional<Condition> filter =
        random.nextInt(3) == 0
            ? Optional.of(new Condition.None(List.of(new Condition.HasTag(tag()))))
            : Optional.empty();
    Trigger trigger =
        random.nextBoolean() ? new Trigger.JoinsList(list()) : new Trigger.GetsTag(tag());
    List<Step> body = new ArrayList<>();
    while (steps > 0) {
      body.add(step(0));
    }
    return new Journey(
        "Random",
        pick(List.of(Purpose.values())),
        JourneyState.DRAFT,
        List.of(trigger),
        filter,
        pick(List.of(ReEntry.values())),
        goal,
        body);
  }

  private List<Step> sequence(int depth) {
    List<Step> sequence = new ArrayList<>();
    int length = random.nextInt(3);
    for (int i = 0; i < length && steps > 0; i++) {
      sequence.add(step(depth));
    }
    if (depth > 0 && steps > 0 && random.nextInt(5) == 0) {
      steps--;
      sequence.add(new Step.Finish(nextId()));
    }
    return sequence;
  }

  private Step step(int depth) {
    steps--;
    StepId id = nextId();
    return switch (random.nextInt(depth < 3 ? 7 : 5)) {
      case 0, 1 -> {
        emails.add(id);
        yield new Step.SendEmail(
            id,
            pick(MESSAGES).id(),
            random.nextBoolean() ? Optional.empty() : Optional.of("Again"));
      }
      case 2, 3 -> new Step.Pause(id, randomWait());
      case 4 -> new Step.Change(id, List.of(change(), change()));
      default -> branch(id, depth);
    };
  }

  private Step branch(StepId id, int depth) {
    List<Arm> arms = new ArrayList<>();
    int count = 1 + random.nextInt(2);
    for (int i = 0; i < count; i++) {
      arms.add(new Arm(nextId(), condition(0), sequence(depth + 1)));
    }
    Optional<Amount> waitUpTo = random.nextBoolean() ? Optional.of(amount()) : Optional.empty();
    return new Step.Branch(
        id, waitUpTo, arms, new Arm(nextId(), Arm.EVERYONE, sequence(depth + 1)));
  }

  private Condition condition(int depth) {
    int kind = random.nextInt(depth < 2 ? 7 : 4);
    if (kind < 2 && !emails.isEmpty()) {
      return kind == 0
          ? new Condition.Opened(pick(emails), random.nextBoolean())
          : new Condition.Clicked(
              pick(emails),
              random.nextBoolean() ? Optional.of(new LinkName("A")) : Optional.empty());
    }
    if (kind < 4) {
      return random.nextBoolean() ? new Condition.HasTag(tag()) : new Condition.OnList(list());
    }
    List<Condition> parts = List.of(condition(depth + 1), condition(depth + 1));
    return kind == 4
        ? new Condition.All(parts)
        : kind == 5 ? new Condition.Any(parts) : new Condition.None(parts);
  }

  private RecordChange change() {
    return switch (random.nextInt(6)) {
      case 0 -> new RecordChange.AddTag(tag());
      case 1 -> new RecordChange.RemoveTag(tag());
      case 2 -> new RecordChange.JoinList(list());
      case 3 -> new RecordChange.LeaveList(list());
      case 4 -> new RecordChange.CopyToList(list());
      default -> new RecordChange.MoveToList(list(), List.of(list()));
    };
  }

  private Wait randomWait() {
    TimeOfDay moment =
        new TimeOfDay(
            LocalTime.of(random.nextInt(24), 30),
            random.nextBoolean()
                ? TimeOfDay.EVERY_DAY
                : EnumSet.of(DayOfWeek.TUESDAY, DayOfWeek.SATURDAY));
    return switch (random.nextInt(3)) {
      case 0 -> new Wait.For(amount(), Optional.empty());
      case 1 -> new Wait.For(amount(), Optional.of(moment));
      default -> new Wait.Until(moment);
    };
  }

  private Amount amount() {
    return switch (random.nextInt(3)) {
      case 0 -> Amount.of(0.5 + random.nextInt(20), TimeUnit.HOURS);
      case 1 -> Amount.of(1 + random.nextInt(90), TimeUnit.MINUTES);
      default -> Amount.of(1 + random.nextInt(6), TimeUnit.DAYS);
    };
  }

  /** Two groups of people who do everything the model knows. */
  public static Behaviour behaviour(long seed) {
    RandomJourneys draw = new RandomJourneys(seed, 0);
    double share = draw.random.nextDouble();
    return new Behaviour(
        List.of(draw.group("first", share), draw.group("second", 1 - share)),
        Assumed.typical(0.5 + 5 * draw.random.nextDouble()),
        Assumed.typical(1.5),
        Assumed.typical(2),
        Assumed.typical(1),
        Assumed.typical(0.2),
        Assumed.typical(12),
        new Reaction(Assumed.typical(1.1), Assumed.typical(0.3), Assumed.typical(0.05)),
        Map.of());
  }

  private AudienceGroup group(String name, double share) {
    return new AudienceGroup(
        name,
        share,
        new Keenness(0.1 + 0.8 * random.nextDouble(), 0.05 + 0.8 * random.nextDouble()),
        pick(ZONES),
        Assumed.typical(0.2),
        Assumed.typical(0.03),
        Assumed.typical(0.05),
        Assumed.typical(0.1),
        Assumed.typical(random.nextBoolean() ? 0.4 : 0),
        random.nextInt(3) == 0 ? Set.of(tag()) : Set.of(),
        Set.of(list()));
  }

  private StepId nextId() {
    return new StepId("s" + ids++);
  }

  private TagName tag() {
    return new TagName(pick(NAMES));
  }

  private ListName list() {
    return new ListName(pick(NAMES));
  }

  private <T> T pick(List<T> from) {
    return from.get(random.nextInt(from.size()));
  }
}
