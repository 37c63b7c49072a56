package org.opentrellis.core.dryrun;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.opentrellis.core.testing.Steps.BERLIN;
import static org.opentrellis.core.testing.Steps.branch;
import static org.opentrellis.core.testing.Steps.finish;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.behaviour.Assumed;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.behaviour.TypicalBehaviour;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyState;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.ReEntry;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.random.Draws;

/** Who the people of a cohort are. Seeds are fixed; bounds fail a sound run once in 100,000. */
class AudienceTest {
  private static final Keenness KEENNESS = new Keenness(0.4, 0.25);
  private static final int PEOPLE = 100_000;
  private static final double Z = 4.417173;

  private static AudienceGroup group(String name, double share, String tag) {
    Assumed none = Assumed.typical(0);
    return new AudienceGroup(
        name,
        share,
        KEENNESS,
        BERLIN,
        none,
        none,
        none,
        none,
        none,
        Set.of(new TagName(tag)),
        Set.of());
  }

  private static Behaviour of(AudienceGroup... groups) {
    Behaviour typical = TypicalBehaviour.in(BERLIN);
    return new Behaviour(
        List.of(groups),
        typical.openMedianHours(),
        typical.openSigma(),
        typical.clickMedianMinutes(),
        typical.clickSigma(),
        typical.buyAfterClick(),
        typical.buyMeanHours(),
        typical.usual(),
        Map.of());
  }

  private static Program program(Trigger... triggers) {
    Condition keeper = new Condition.HasTag(new TagName("keeper"));
    return Program.compile(
        new Journey(
            "A test",
            Purpose.OTHER,
            JourneyState.DRAFT,
            List.of(triggers),
            Optional.empty(),
            ReEntry.NEVER,
            Optional.empty(),
            List.of(branch("b", keeper, null, List.of(finish("f")), List.of()))),
        Map.of());
  }

  @Test
  void peopleFallIntoTheGroupsByTheirShares() {
    Audience audience =
        new Audience(
            of(group("A", 0.2, "x"), group("B", 0.5, "y"), group("C", 0.3, "z")), program());
    int[] counts = new int[3];
    for (int person = 0; person < PEOPLE; person++) {
      String name = audience.groupOf(Draws.personKey(9, person)).group().name();
      counts[name.charAt(0) - 'A']++;
    }
    double[] shares = {0.2, 0.5, 0.3};
    for (int i = 0; i < 3; i++) {
      double error = Math.sqrt(shares[i] * (1 - shares[i]) / PEOPLE);
      assertThat(counts[i] / (double) PEOPLE).isCloseTo(shares[i], within(Z * error));
    }
  }

  @Test
  void aGroupBringsTheTagsThatTheJourneyHasToDoWith() {
    Program program = program();
    Audience audience = new Audience(of(group("A", 1, "keeper")), program);
    int keeper = program.mark(new TagName("keeper")).orElseThrow();
    assertThat(audience.groupOf(1).brings().get(keeper)).isTrue();
    assertThat(new Audience(of(group("A", 1, "other")), program).groupOf(1).brings().isEmpty())
        .isTrue();
    assertThat(program.mark(new TagName("other"))).isEmpty();
  }

  @Test
  void peopleComeInByEveryTriggerAlike() {
    Program program =
        program(
            new Trigger.JoinsList(new ListName("Newcomers")),
            new Trigger.GetsTag(new TagName("keeper")));
    Audience audience = new Audience(of(group("A", 1, "x")), program);
    int list = program.mark(new ListName("Newcomers")).orElseThrow();
    int byList = 0;
    for (int person = 0; person < PEOPLE; person++) {
      byList += audience.triggerMark(Draws.personKey(9, person)) == list ? 1 : 0;
    }
    assertThat(byList / (double) PEOPLE).isCloseTo(0.5, within(Z * 0.5 / Math.sqrt(PEOPLE)));
  }

  @Test
  void withoutATriggerPeopleArePutInByHand() {
    assertThat(new Audience(of(group("A", 1, "x")), program()).triggerMark(1)).isEqualTo(-1);
  }
}
