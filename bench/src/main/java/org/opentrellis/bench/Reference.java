package org.opentrellis.bench;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.opentrellis.core.behaviour.Assumed;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.behaviour.Reaction;
import org.opentrellis.core.behaviour.TypicalBehaviour;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.journey.Arm;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.EmailRef;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Otherwise;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.RecordChange;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.journey.WaitRule;

/**
 * The reference journey W6: six emails and two branches, and the values that all simulations of it
 * use. Times are seconds since entry.
 */
final class Reference {
  static final int EMAILS = 6;

  /** The steps of W6 in the order of its run sheet. */
  static final int TAG_0 = 0;

  static final int EMAIL_0 = 1;
  static final int WAIT_0 = 2;
  static final int OPENED_FIRST = 3;
  static final int TAG_1 = 4;
  static final int EMAIL_1 = 5;
  static final int WAIT_1 = 6;
  static final int WAIT_2 = 7;
  static final int EMAIL_2 = 8;
  static final int CLICKED = 9;
  static final int EMAIL_3 = 10;
  static final int EMAIL_4 = 11;
  static final int WAIT_3 = 12;
  static final int EMAIL_5 = 13;
  static final int TAG_2 = 14;
  static final int STEPS = 15;

  /** Of each email. */
  static final int LINKS = 2;

  private static final Behaviour TYPICAL = TypicalBehaviour.in(ZoneOffset.UTC);
  static final double KEENNESS_MEAN = 0.4;
  static final double KEENNESS_SPREAD = 0.25;
  static final double OPEN_MEDIAN = 3 * 3600;
  static final double OPEN_SIGMA = 1.6;
  static final double CLICK_MEDIAN = 120;
  static final double CLICK_SIGMA = 1;
  static final double CLICK = 0.22;
  static final double UNSUBSCRIBE = 0.006;
  static final double BUY = 0.08;
  static final double BUY_MEAN = 18 * 3600;
  static final double BUYS_ANYWAY_MEAN = -30 * 86_400 / Math.log1p(-0.024);
  static final double DAY = 86_400;
  static final int ARRIVAL_DAYS = CohortSettings.ARRIVAL_DAYS;
  static final int HORIZON_DAYS = 60;
  static final double GOAL_LIMIT = 30 * DAY;
  static final double ORDER_MEDIAN_CENTS = 100 * TYPICAL.orderMedian().value();
  static final double ORDER_SIGMA = TYPICAL.orderSigma().value();
  static final double[] PULLS = {1.2, 0.8, 1, 1.3, 0.7, 1.1};

  private static final Catalogue MESSAGES =
      Catalogue.of(List.of(Message.email("m", "Hello", "Hello", "A", "B")));

  private Reference() {}

  static DryRun run(Journey journey, int people, long seed) {
    return new DryRun(
        journey,
        MESSAGES,
        behaviour(),
        CohortSettings.of(people, seed, Instant.parse("2027-03-01T00:00:00Z"), HORIZON_DAYS));
  }

  static Behaviour behaviour() {
    Assumed none = Assumed.typical(0);
    AudienceGroup group =
        new AudienceGroup(
            "All",
            1,
            new Keenness(KEENNESS_MEAN, KEENNESS_SPREAD),
            ZoneOffset.UTC,
            0,
            24,
            none,
            none,
            none,
            none,
            Assumed.typical(0.024),
            none,
            Assumed.typical(1),
            none,
            Set.of(),
            Set.of(),
            Map.of(),
            Map.of(),
            Map.of());
    Map<StepId, Reaction> emails = new java.util.HashMap<>();
    for (int i = 0; i < EMAILS; i++) {
      emails.put(new StepId("e" + i), reaction(PULLS[i]));
    }
    return TYPICAL.edit().groups(List.of(group)).usual(reaction(1)).emails(emails).done();
  }

  private static Reaction reaction(double pull) {
    return new Reaction(
        Assumed.typical(pull),
        Assumed.typical(CLICK),
        Assumed.typical(UNSUBSCRIBE),
        Assumed.typical(0),
        List.of());
  }

  /**
   * Tag; e0; a day; opened? tag, else e1 and two days; three days; e2; clicked within 2 days? e3,
   * else e4; four days; e5.
   */
  static Journey w6() {
    Condition opened = new Condition.Opened(of("e0"), false, Optional.empty());
    Condition clicked = new Condition.Clicked(of("e2"), Optional.empty(), Optional.empty());
    return journey(
        tag("t0"),
        send("e0"),
        days("w0", 1),
        branch("b0", opened, null, List.of(tag("t1")), List.of(send("e1"), days("w1", 2))),
        days("w2", 3),
        send("e2"),
        branch(
            "b1", clicked, Amount.of(2, TimeUnit.DAYS), List.of(send("e3")), List.of(send("e4"))),
        days("w3", 4),
        send("e5"),
        tag("t2"));
  }

  /** So many steps: emails, waits, branches and tags in turn. */
  static Journey ofSteps(int count) {
    List<Step> body = new ArrayList<>();
    String last = "";
    while (body.stream().flatMap(Step::all).count() < count) {
      int n = body.size();
      switch (n % 4) {
        case 0 -> {
          last = "s" + n;
          body.add(send(last));
        }
        case 1 -> body.add(days("s" + n, 1));
        case 2 ->
            body.add(
                branch(
                    "s" + n,
                    new Condition.Opened(of(last), false, Optional.empty()),
                    null,
                    List.of(tag("t" + n)),
                    List.of()));
        default -> body.add(tag("s" + n));
      }
    }
    return journey(body.toArray(Step[]::new));
  }

  private static Journey journey(Step... body) {
    return Journey.empty("Reference", Purpose.WELCOME)
        .edit()
        .goal(Optional.of(Goal.bought(30, true)))
        .body(List.of(body))
        .done();
  }

  private static EmailRef of(String step) {
    return new EmailRef.OfStep(new StepId(step));
  }

  private static Step send(String id) {
    return Step.SendEmail.of(new StepId(id), new MessageId("m"));
  }

  private static Step days(String id, int days) {
    return new Step.Wait(new StepId(id), WaitRule.of(days, TimeUnit.DAYS));
  }

  private static Step tag(String id) {
    return new Step.Change(
        new StepId(id), List.of(new RecordChange.AddTag(new TagName("tag " + id))));
  }

  private static Step branch(
      String id,
      Condition condition,
      @org.jspecify.annotations.Nullable Amount waitUpTo,
      List<Step> then,
      List<Step> otherwise) {
    return new Step.Branch(
        new StepId(id),
        Optional.ofNullable(waitUpTo),
        List.of(new Arm(new StepId(id + "-a"), condition, then)),
        new Otherwise(new StepId(id + "-b"), otherwise));
  }
}
