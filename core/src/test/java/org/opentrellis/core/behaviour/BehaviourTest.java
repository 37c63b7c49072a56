package org.opentrellis.core.behaviour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.core.journey.StepId;

class BehaviourTest {
  private static final ZoneId BERLIN = ZoneId.of("Europe/Berlin");
  private static final Keenness KEENNESS = new Keenness(0.4, 0.25);

  private static AudienceGroup group(double share) {
    return TypicalBehaviour.group("Group", share, KEENNESS, BERLIN);
  }

  private static Behaviour of(List<AudienceGroup> groups, Map<StepId, Reaction> emails) {
    Behaviour typical = TypicalBehaviour.in(BERLIN);
    return new Behaviour(
        groups,
        typical.openMedianHours(),
        typical.openSigma(),
        typical.clickMedianMinutes(),
        typical.clickSigma(),
        typical.buyAfterClick(),
        typical.buyMeanHours(),
        typical.usual(),
        emails);
  }

  /** a = m(1/rho - 1), b = (1-m)(1/rho - 1): the mean is m, and rho = 1/(a+b+1). By algebra. */
  @ParameterizedTest(name = "mean {0}, spread {1}")
  @CsvSource({"0.4, 0.166666666667", "0.05, 0.5", "0.9, 0.02"})
  void keennessIsTheBetaOfItsMeanAndSpread(double mean, double spread) {
    Keenness keenness = new Keenness(mean, spread);
    double total = keenness.alpha() + keenness.beta();
    assertThat(keenness.alpha() / total).isCloseTo(mean, within(1e-12));
    assertThat(1 / (total + 1)).isCloseTo(spread, within(1e-12));
  }

  @ParameterizedTest
  @ValueSource(doubles = {0, 1, -0.2, Double.NaN, Double.POSITIVE_INFINITY})
  void keennessLiesInsideZeroToOne(double outside) {
    assertThatThrownBy(() -> new Keenness(outside, 0.2)).hasMessageContaining("keenness");
    assertThatThrownBy(() -> new Keenness(0.2, outside)).hasMessageContaining("spread");
  }

  /** A pull works on the odds: k odds in, k times the odds out. By algebra. */
  @ParameterizedTest(name = "pull {0}")
  @ValueSource(doubles = {0.5, 1, 2, 7.5})
  void pullMultipliesTheOdds(double pull) {
    Reaction reaction = new Reaction(Assumed.byHand(pull), Assumed.typical(0), Assumed.typical(0));
    for (double keenness : new double[] {0.01, 0.3, 0.5, 0.97}) {
      double chance = reaction.openChance(keenness);
      assertThat(chance / (1 - chance)).isCloseTo(pull * keenness / (1 - keenness), within(1e-9));
    }
    assertThat(reaction.openChance(0)).isZero();
    assertThat(reaction.openChance(1)).isEqualTo(1);
  }

  @Test
  void anEmailThatNothingIsSaidOfIsAUsualOne() {
    Reaction own = new Reaction(Assumed.byHand(2), Assumed.byHand(0.5), Assumed.byHand(0.1));
    Behaviour behaviour = of(List.of(group(1)), Map.of(new StepId("a"), own));
    assertThat(behaviour.reactionTo(new StepId("a"))).isEqualTo(own);
    assertThat(behaviour.reactionTo(new StepId("b"))).isEqualTo(TypicalBehaviour.reaction());
  }

  @Test
  void typicalValuesSayThatTheyAreTypical() {
    Behaviour typical = TypicalBehaviour.in(BERLIN);
    assertThat(typical.openMedianHours().origin()).isEqualTo(Origin.TYPICAL);
    assertThat(typical.usual().pull()).isEqualTo(Assumed.typical(1));
    assertThat(typical.groups()).singleElement().extracting(AudienceGroup::zone).isEqualTo(BERLIN);
  }

  @Test
  void sharesAddUpToAll() {
    assertThat(of(List.of(group(0.3), group(0.7)), Map.of()).groups()).hasSize(2);
    assertThatThrownBy(() -> of(List.of(group(0.3), group(0.6)), Map.of()))
        .hasMessage("the shares of the audience groups must add up to 100%, not 90.0%");
    assertThatThrownBy(() -> of(List.of(), Map.of()))
        .hasMessage("there must be at least one audience group");
  }

  @Test
  void refusesWhatCannotBe() {
    Assumed none = Assumed.typical(0);
    assertThatThrownBy(() -> Assumed.byHand(Double.NaN)).hasMessageContaining("finite");
    assertThatThrownBy(() -> new Reaction(none, none, none))
        .hasMessage("an email's pull must be more than 0, not 0.0");
    assertThatThrownBy(() -> new Reaction(Assumed.typical(1), Assumed.byHand(1.5), none))
        .hasMessage("the chance to click must be between 0 and 1, not 1.5");
    assertThatThrownBy(() -> group(1.2)).hasMessage("a group's share must be 0 to 1, not 1.2");
    assertThatThrownBy(() -> TypicalBehaviour.group(" ", 1, KEENNESS, BERLIN))
        .hasMessage("an audience group needs a name");
    Assumed sure = Assumed.byHand(1);
    assertThatThrownBy(
            () ->
                new AudienceGroup(
                    "A", 1, KEENNESS, BERLIN, none, none, none, sure, none, Set.of(), Set.of()))
        .hasMessage("a chance within 30 days must be at most 0.99, not 1.0");
  }
}
