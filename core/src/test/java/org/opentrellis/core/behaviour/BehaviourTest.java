package org.opentrellis.core.behaviour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.opentrellis.core.testing.Steps.BERLIN;
import static org.opentrellis.core.testing.Steps.reaction;

import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.testing.Steps;

class BehaviourTest {
  private static final ZoneId BERLIN = ZoneId.of("Europe/Berlin");
  private static final Keenness KEENNESS = new Keenness(0.4, 0.25);

  private static AudienceGroup group(double share) {
    return TypicalBehaviour.group("Group", share, KEENNESS, BERLIN);
  }

  private static Behaviour of(List<AudienceGroup> groups, Map<StepId, Reaction> emails) {
    return TypicalBehaviour.in(BERLIN).edit().groups(groups).emails(emails).done();
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
    Reaction reaction = reaction(pull, 0, 0);
    for (double keenness : new double[] {0.01, 0.3, 0.5, 0.97}) {
      double chance = reaction.openChance(keenness);
      assertThat(chance / (1 - chance)).isCloseTo(pull * keenness / (1 - keenness), within(1e-9));
    }
    assertThat(reaction.openChance(0)).isZero();
    assertThat(reaction.openChance(1)).isEqualTo(1);
  }

  @Test
  void anEmailThatNothingIsSaidOfIsAUsualOne() {
    Reaction own = reaction(2, 0.5, 0.1);
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
    assertThatThrownBy(() -> Assumed.byHand(Double.NaN)).hasMessageContaining("finite");
    assertThatThrownBy(() -> reaction(0, 0, 0))
        .hasMessage("an email's pull must be more than 0, not 0.0");
    assertThatThrownBy(() -> reaction(1, 1.5, 0))
        .hasMessage("the chance to click must be between 0 and 1, not 1.5");
    assertThatThrownBy(() -> group(1.2)).hasMessage("a group's share must be 0 to 1, not 1.2");
    assertThatThrownBy(() -> TypicalBehaviour.group(" ", 1, KEENNESS, BERLIN))
        .hasMessage("an audience group needs a name of at most 80 characters");
    assertThatThrownBy(() -> Steps.group(KEENNESS, 1))
        .hasMessage("a chance within 30 days must be at most 0.99, not 1.0");
  }

  @Test
  void anAttentionProfileIsScaledToAMeanOfOne() {
    List<Double> hours = new java.util.ArrayList<>(java.util.Collections.nCopies(168, 0.0));
    hours.set(9, 2.0);
    hours.set(10, 6.0);
    Attention attention = new Attention(hours, Origin.BY_HAND);
    assertThat(attention.hours().get(9)).isCloseTo(42, within(1e-9));
    assertThat(attention.hours().stream().mapToDouble(h -> h).sum()).isCloseTo(168, within(1e-9));
    assertThat(attention.isFlat()).isFalse();
    assertThat(Attention.flat(Origin.TYPICAL).isFlat()).isTrue();
    assertThatThrownBy(() -> new Attention(List.of(1.0), Origin.BY_HAND))
        .hasMessageContaining("168 hours");
  }

  @Test
  void guessesAboutFieldsAddUp() {
    FieldGuess.Choice most = new FieldGuess.Choice(new Operand.Words("Lindau"), 0.8);
    assertThatThrownBy(() -> new FieldGuess.OneOf(List.of(most, most)))
        .hasMessageContaining("at most 1");
    assertThatThrownBy(() -> new FieldGuess.DateBetween(3, 2)).hasMessageContaining("must go up");
    assertThatThrownBy(
            () -> new Tiredness(Assumed.typical(4), Assumed.typical(1.2), Assumed.typical(1)))
        .hasMessageContaining("between 0 and 1");
  }
}
