package org.opentrellis.core.calibrate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.behaviour.FieldGuess;
import org.opentrellis.core.behaviour.Origin;
import org.opentrellis.core.calibrate.CohortLike.Somebody;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.TagName;

class CohortLikeTest {
  private static final ZoneId OSLO = ZoneId.of("Europe/Oslo");
  private static final ZoneId ROME = ZoneId.of("Europe/Rome");
  private static final LocalDate TODAY = LocalDate.parse("2026-11-29");
  private static final Name MEMBERS = new ListName("Members");
  private static final Name MARKET = new TagName("market");
  private static final FieldName HIVES = new FieldName("hives");
  private static final FieldName UNTIL = new FieldName("member until");

  private static Somebody somebody(ZoneId zone, Set<Name> labels, Map<FieldName, Operand> fields) {
    return new Somebody(zone, labels, fields, false, false);
  }

  private static AudienceGroup group(CohortPlan plan, String name) {
    return plan.groups().stream()
        .filter(one -> one.name().startsWith(name))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void whoIsAlikeIsAGroup() {
    List<Somebody> some = new ArrayList<>();
    for (int n = 0; n < 40; n++) {
      boolean member = n < 30;
      Set<Name> labels = member ? Set.of(MEMBERS, MARKET) : Set.of();
      Map<FieldName, Operand> fields =
          n % 2 == 0 ? Map.of(HIVES, new Operand.Number(n % 4)) : Map.of();
      some.add(new Somebody(member ? OSLO : ROME, labels, fields, n < 3, n % 3 == 0));
    }
    CohortPlan plan = CohortLike.of(some, 4_000, TODAY);
    assertThat(plan.people()).isEqualTo(4_000);
    assertThat(plan.groups()).hasSize(2);
    AudienceGroup members = group(plan, "Members, market · Europe/Oslo");
    assertThat(members.share()).isEqualTo(0.75);
    assertThat(members.lists()).containsExactly((ListName) MEMBERS);
    assertThat(members.tags()).containsExactly((TagName) MARKET);
    assertThat(members.hardBounce().value()).isEqualTo(0.1);
    assertThat(members.hardBounce().origin()).isEqualTo(Origin.MEASURED);
    assertThat(members.textConsent().value()).isCloseTo(10 / 30.0, within(1e-12));
    assertThat(members.preloads().origin()).isEqualTo(Origin.TYPICAL);
    FieldGuess.OneOf hives = (FieldGuess.OneOf) members.fields().get(HIVES);
    assertThat(hives.choices().stream().mapToDouble(FieldGuess.Choice::share).sum())
        .isCloseTo(0.5, within(1e-9));
    assertThat(group(plan, "No list or tag · Europe/Rome").lists()).isEmpty();
  }

  /** Shares are whole, whoever they are; the largest stand alone, the others together. */
  @Test
  void manySortsBecomeAFewGroups() {
    Random random = new Random(16);
    List<Somebody> some =
        IntStream.range(0, 3_000)
            .mapToObj(
                n ->
                    somebody(
                        random.nextBoolean() ? OSLO : ROME,
                        Set.of(new TagName("tag " + (int) Math.abs(random.nextGaussian() * 12))),
                        Map.of()))
            .toList();
    CohortPlan plan = CohortLike.of(some, some.size(), TODAY);
    assertThat(plan.groups()).hasSize(CohortLike.MOST_GROUPS + 1);
    assertThat(plan.groups().stream().mapToDouble(AudienceGroup::share).sum())
        .isCloseTo(1, within(1e-9));
    assertThat(plan.groups().getLast().name()).isEqualTo("Others");
    assertThat(plan.groups().getLast().tags()).isEmpty();
  }

  /** What all have is a range; what only some have keeps how many have none. */
  @Test
  void fieldsOfManyValuesKeepTheirShape() {
    List<Somebody> some =
        IntStream.range(0, 100)
            .mapToObj(
                n ->
                    somebody(
                        OSLO,
                        Set.of(),
                        n % 4 == 0
                            ? Map.of(HIVES, new Operand.Number(n))
                            : Map.of(
                                HIVES,
                                new Operand.Number(n),
                                UNTIL,
                                new Operand.Date(TODAY.plusDays(n)))))
            .toList();
    Map<FieldName, FieldGuess> fields = CohortLike.of(some, 100, TODAY).groups().get(0).fields();
    assertThat(fields.get(HIVES)).isEqualTo(new FieldGuess.NumberBetween(0, 99));
    FieldGuess.OneOf until = (FieldGuess.OneOf) fields.get(UNTIL);
    assertThat(until.choices()).hasSize(20);
    assertThat(until.choices().stream().mapToDouble(FieldGuess.Choice::share).sum())
        .isCloseTo(0.75, within(1e-9));
    List<Somebody> all =
        some.stream().map(one -> somebody(OSLO, Set.of(), Map.of(UNTIL, date(one)))).toList();
    assertThat(CohortLike.of(all, 100, TODAY).groups().get(0).fields().get(UNTIL))
        .isEqualTo(new FieldGuess.DateBetween(-9, 90));
  }

  private static Operand date(Somebody one) {
    double hives = ((Operand.Number) one.fields().get(HIVES)).number();
    return new Operand.Date(TODAY.plusDays((long) hives - 9));
  }

  /** A date that no cohort can count to is kept as it is. */
  @Test
  void datesLongAgoAreKept() {
    List<Somebody> some =
        IntStream.range(0, 30)
            .mapToObj(
                n ->
                    somebody(
                        OSLO,
                        Set.of(),
                        Map.of(UNTIL, new Operand.Date(LocalDate.parse("1800-01-01").plusDays(n)))))
            .toList();
    assertThat(CohortLike.of(some, 30, TODAY).groups().get(0).fields().get(UNTIL))
        .isInstanceOf(FieldGuess.OneOf.class);
  }
}
