package org.opentrellis.core.crowd;

import static org.assertj.core.api.Assertions.assertThat;
import static org.opentrellis.core.testing.Steps.BERLIN;
import static org.opentrellis.core.testing.Steps.id;
import static org.opentrellis.core.testing.Steps.reaction;

import java.time.Instant;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.behaviour.Offer;
import org.opentrellis.core.behaviour.TypicalBehaviour;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.journey.CategoryName;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.testing.ThreeEmails;
import org.opentrellis.core.walk.Turn;

/** People who come by themselves do what the dry run has them do, in time for it. */
class ErrandsTest {
  private static final Instant START = Instant.parse("2027-03-01T00:00:00Z");
  private static final int PEOPLE = 200;
  private static final Trigger LIST = new Trigger.JoinsList(new ListName("Newcomers"));
  private static final Trigger CART = new Trigger.LeavesCart(60);
  private static final Offer HIVE =
      new Offer(new ProductName("Hive kit"), new CategoryName("Hives"), 1);
  private static final FieldName UNTIL = new FieldName("member until");

  private static DryRun run(Behaviour behaviour, Trigger trigger) {
    return new DryRun(
        ThreeEmails.JOURNEY.edit().triggers(List.of(trigger)).done(),
        ThreeEmails.MESSAGES,
        behaviour,
        CohortSettings.of(PEOPLE, 5, START, 30));
  }

  private static Behaviour behaviour() {
    return TypicalBehaviour.in(BERLIN)
        .edit()
        .groups(List.of(TypicalBehaviour.group("All", 1, new Keenness(0.4, 0.22), BERLIN)))
        .emails(Map.of(id("a"), reaction(1.5, 0.3, 0.02), id("b"), reaction(1.5, 0.3, 0.02)))
        .done();
  }

  private static List<Errand> errands(DryRun run, int number, boolean confirms) {
    return Errands.of(run, number, Rehearsal.of(run, number), confirms);
  }

  private static List<List<Errand>> all(DryRun run, boolean confirms) {
    return IntStream.range(0, PEOPLE).mapToObj(n -> errands(run, n, confirms)).toList();
  }

  private static long entered(DryRun run, int number) {
    return Rehearsal.of(run, number).turns().stream()
        .filter(turn -> turn.kind() == Turn.Kind.ENTERED_JOURNEY)
        .mapToLong(Turn::at)
        .min()
        .orElseThrow();
  }

  @Test
  void whoeverConfirmsIsInAtTheMomentAtWhichTheDryRunHasThemEnter() {
    DryRun run = run(behaviour(), LIST);
    List<List<Errand>> all = all(run, true);
    for (int n = 0; n < PEOPLE; n++) {
      List<Errand> errands = all.get(n);
      assertThat(errands.get(0)).isInstanceOf(Errand.SignsUp.class);
      assertThat(errands.get(1)).isEqualTo(new Errand.Confirms(entered(run, n)));
      assertThat(errands.get(0).at()).isLessThan(errands.get(1).at());
      assertThat(errands).isSortedAccordingTo((one, other) -> Long.compare(one.at(), other.at()));
    }
    for (int n = 0; n < PEOPLE; n++) {
      assertThat(errands(run, n, false).getFirst()).isEqualTo(new Errand.SignsUp(entered(run, n)));
    }
  }

  /** A mail that is opened has its picture loaded by that, unless it was loaded ahead. */
  @Test
  void whatIsDoneWithMailIsWhatTheDryRunSaysAndEachThingOnce() {
    DryRun run = run(behaviour(), LIST);
    int opened = 0;
    int ahead = 0;
    for (int n = 0; n < PEOPLE; n++) {
      List<Happening> told = Rehearsal.of(run, n).acts();
      List<Happening> done =
          errands(run, n, true).stream()
              .filter(Errand.Does.class::isInstance)
              .map(one -> ((Errand.Does) one).what())
              .toList();
      assertThat(told).containsAll(done);
      assertThat(done).noneMatch(Happening.Delivered.class::isInstance);
      for (Class<?> kind : List.of(Happening.Opened.class, Happening.Clicked.class)) {
        assertThat(done.stream().filter(kind::isInstance).toList())
            .isEqualTo(told.stream().filter(kind::isInstance).toList());
      }
      opened += (int) done.stream().filter(Happening.Opened.class::isInstance).count();
      ahead += (int) done.stream().filter(Happening.OpenRecorded.class::isInstance).count();
    }
    assertThat(opened).isGreaterThan(PEOPLE / 2);
    assertThat(ahead).isPositive().isLessThan(opened);
  }

  @Test
  void whoeverLeavesACartHasSignedUpBefore() {
    Behaviour sells = behaviour().edit().offers(List.of(HIVE)).done();
    DryRun run = run(sells, CART);
    for (int n = 0; n < PEOPLE; n++) {
      List<Errand> errands = errands(run, n, true);
      assertThat(errands.subList(0, 2))
          .extracting(Object::getClass)
          .containsExactly(Errand.SignsUp.class, Errand.Confirms.class);
      Happening.CartChanged cart = (Happening.CartChanged) ((Errand.Does) errands.get(2)).what();
      assertThat(cart.at()).isEqualTo(entered(run, n) - 3600);
      assertThat(cart.lines()).hasSize(1);
      assertThat(errands.get(1).at()).isLessThan(START.getEpochSecond());
    }
  }

  @Test
  void newcomersAreWhatTheFormMakesThem() {
    Newcomers newcomers =
        new Newcomers(
            new FormName("Planner"),
            Set.of(UNTIL),
            Set.of(new ListName("Newcomers"), new TagName("new-keeper")),
            true,
            BERLIN);
    Behaviour behaviour = newcomers.behaving(behaviour());
    assertThat(behaviour.groups())
        .allSatisfy(
            group -> {
              assertThat(group.lists()).containsExactly(new ListName("Newcomers"));
              assertThat(group.tags()).containsExactly(new TagName("new-keeper"));
              assertThat(group.hardBounce().value()).isZero();
            });
    assertThat(newcomers.leadsIn(LIST)).isTrue();
    assertThat(newcomers.leadsIn(CART)).isTrue();
    assertThat(newcomers.leadsIn(new Trigger.JoinsList(new ListName("Members")))).isFalse();
    assertThat(newcomers.leadsIn(new Trigger.GetsTag(new TagName("buyer")))).isFalse();
    assertThat(newcomers.leadsIn(new Trigger.EntersSegment(new SegmentName("Keen")))).isFalse();
    assertThat(newcomers.leadsIn(date(UNTIL))).isTrue();
    assertThat(newcomers.leadsIn(date(new FieldName("birthday")))).isFalse();
  }

  private static Trigger date(FieldName field) {
    return new Trigger.DateComes(field, 0, LocalTime.of(9, 0), true, false);
  }
}
