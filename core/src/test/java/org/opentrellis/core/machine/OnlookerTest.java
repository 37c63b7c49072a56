package org.opentrellis.core.machine;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.Operator;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.Segment;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.testing.RandomJourneys;
import org.opentrellis.core.testing.RandomPeople;

/** A condition about people outside of any journey. */
class OnlookerTest {
  private static final SegmentName ASKED = new SegmentName("Asked");
  private static final FieldName TOWN = new FieldName("town");

  /** Whoever waits at a journey's door for a segment is told the same. */
  @Test
  void sameAnswerAsASegmentThatAJourneyWaitsFor() {
    Map<Boolean, Integer> answers = new HashMap<>();
    for (long seed = 0; seed < 1_500; seed++) {
      Condition who = RandomJourneys.aboutPeople(seed);
      List<Segment> segments = new ArrayList<>(RandomJourneys.CATALOGUE.segments());
      segments.add(new Segment(ASKED, who));
      Catalogue catalogue =
          new Catalogue(
              RandomJourneys.CATALOGUE.messages(), RandomJourneys.CATALOGUE.strands(), segments);
      Journey waits =
          Journey.empty("Waits", Purpose.OTHER)
              .edit()
              .triggers(List.of(new Trigger.EntersSegment(ASKED)))
              .done();
      World world = World.compile(List.of(waits), catalogue, RandomPeople.PRODUCTS);
      Onlooker onlooker = new Onlooker(who, catalogue, RandomPeople.PRODUCTS);
      for (long n = 0; n < 4; n++) {
        PersonState state = RandomPeople.person(seed * 4 + n);
        Person person = Standing.thaw(state, world, RandomPeople::clock);
        boolean in = Standing.freeze(person).inSegments().get(ASKED);
        boolean holds = onlooker.holds(state, RandomPeople.NOW, RandomPeople::clock);
        assertThat(holds).as("%s for %s", who, state).isEqualTo(in);
        answers.merge(holds, 1, Integer::sum);
      }
    }
    assertThat(answers.get(true)).isGreaterThan(1_500);
    assertThat(answers.get(false)).isGreaterThan(1_500);
  }

  /** Values of different kinds never compare, whichever way they are compared. */
  @ParameterizedTest
  @EnumSource(
      value = Operator.class,
      names = {"IS_EMPTY", "BETWEEN"},
      mode = EnumSource.Mode.EXCLUDE)
  void aTextIsNoNumberAndNoDate(Operator is) {
    PersonState linden = withTown(new Operand.Words("5"));
    for (Operand other : List.of(new Operand.Number(5), new Operand.Date(LocalDate.EPOCH))) {
      Condition who = new Condition.Field(TOWN, is, List.of(other));
      Onlooker onlooker = new Onlooker(who, RandomJourneys.CATALOGUE, List.of());
      assertThat(onlooker.holds(linden, RandomPeople.NOW, RandomPeople::clock)).isFalse();
      assertThat(onlooker.holds(withTown(other), RandomPeople.NOW, RandomPeople::clock))
          .isEqualTo(is == Operator.EQUALS || is == Operator.AT_LEAST || is == Operator.AT_MOST);
    }
  }

  private static PersonState withTown(Operand value) {
    long seed = 0;
    PersonState state = RandomPeople.person(seed);
    while (!state.fields().containsKey(TOWN)) {
      state = RandomPeople.person(++seed);
    }
    Map<FieldName, Operand> fields = new HashMap<>(state.fields());
    fields.put(TOWN, value);
    return RandomPeople.with(state, fields);
  }
}
