package org.opentrellis.core.arrange;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.FreshIds;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Renaming;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepEdits;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Way;

/**
 * Puts the steps of one journey in another order. Chosen rows stand for the smallest stretch of
 * neighbouring steps that covers them. What would leave a question without its email is refused.
 */
public final class Arranging {
  private static final Arranged GONE =
      new Arranged.Refused("These steps are not in the journey any more.");

  private final Journey journey;
  private final Catalogue catalogue;

  public Arranging(Journey journey, Catalogue catalogue) {
    this.journey = journey;
    this.catalogue = catalogue;
  }

  /**
   * Moves steps to another place.
   *
   * @param below a row, as {@link StepEdits#insert} takes it
   */
  public Arranged move(Set<String> rows, String below) {
    return with(rows, stretch -> moved(stretch, below));
  }

  /**
   * Moves steps up by one place: past a plain step, to the end of a branch's last arm, to the arm
   * before, or out of the branch. An arm changes places with the one before.
   */
  public Arranged up(Set<String> rows) {
    Optional<Step> parted = partedBy(rows);
    return parted.isPresent()
        ? swapped(parted.get(), rows.iterator().next(), -1)
        : with(rows, stretch -> moved(stretch, above(stretch)));
  }

  /** Moves steps or an arm down by one place. */
  public Arranged down(Set<String> rows) {
    Optional<Step> parted = partedBy(rows);
    return parted.isPresent()
        ? swapped(parted.get(), rows.iterator().next(), 1)
        : with(rows, stretch -> moved(stretch, below(stretch)));
  }

  /** Moves steps to the end of the last arm of the branch right above them. */
  public Arranged in(Set<String> rows) {
    return with(
        rows,
        stretch -> {
          List<Way> ways = stretch.before().map(Step::ways).orElse(List.of());
          return ways.isEmpty()
              ? refused("There is no branch right above to move this into.")
              : moved(stretch, Stretch.endOf(ways.get(ways.size() - 1)));
        });
  }

  /** Moves steps out of the branch that they are in, to below it. */
  public Arranged out(Set<String> rows) {
    return with(
        rows,
        stretch ->
            stretch.around() == null
                ? refused("This is in no branch, so it cannot be moved out of one.")
                : moved(stretch, Stretch.rowOf(stretch.around())));
  }

  /** Finds the steps that are to be pasted elsewhere. */
  public Arranged copy(Set<String> rows) {
    return with(rows, stretch -> new Arranged.Done(journey, stretch.steps()));
  }

  /** Takes steps out, with all that is inside them. */
  public Arranged remove(Set<String> rows) {
    return with(rows, stretch -> new Arranged.Done(without(stretch), stretch.steps()));
  }

  /** Puts copies of steps right below them. */
  public Arranged duplicate(Set<String> rows) {
    return with(
        rows,
        stretch ->
            paste(stretch.steps(), Stretch.rowOf(stretch.steps().get(stretch.steps().size() - 1))));
  }

  /**
   * Puts steps in under ids of their own; what they ask of each other they go on asking of each
   * other.
   *
   * @param steps of this journey or another
   * @param below a row, as {@link StepEdits#insert} takes it
   */
  public Arranged paste(List<Step> steps, String below) {
    FreshIds fresh = new FreshIds(journey);
    Map<StepId, StepId> names = new HashMap<>();
    steps.stream()
        .flatMap(Step::all)
        .flatMap(Step::ids)
        .forEach(id -> names.put(id, fresh.orNext(id.value())));
    List<Step> copies = new Renaming(id -> names.getOrDefault(id, id)).steps(steps);
    return unlessUnanswerable(StepEdits.insert(journey, below, copies), copies);
  }

  private Arranged with(Set<String> rows, Function<Stretch, Arranged> change) {
    if (rows.stream().anyMatch(row -> row.indexOf('/') >= 0)) {
      return refused("These steps belong to a strand, which is changed as a whole.");
    }
    return Stretch.covering(journey, rows).map(change).orElse(GONE);
  }

  private Arranged moved(Stretch stretch, String below) {
    String last = Stretch.rowOf(stretch.steps().get(stretch.steps().size() - 1));
    if (below.equals(last) || below.equals(stretch.below())) {
      return new Arranged.Done(journey, stretch.steps());
    }
    if (stretch.has(below)) {
      return refused("A step cannot be moved into itself.");
    }
    return unlessUnanswerable(
        StepEdits.insert(without(stretch), below, stretch.steps()), stretch.steps());
  }

  private Journey without(Stretch stretch) {
    Set<StepId> gone = stretch.steps().stream().map(Step::id).collect(Collectors.toSet());
    return StepEdits.without(journey, gone);
  }

  private Arranged unlessUnanswerable(Journey after, List<Step> steps) {
    return Unanswerable.newIn(after, journey, catalogue)
        .<Arranged>map(Arranged.Refused::new)
        .orElse(new Arranged.Done(after, steps));
  }

  /** The row that a stretch is below when it has moved up by one place. */
  private String above(Stretch stretch) {
    Optional<Step> neighbour = stretch.before();
    if (neighbour.isPresent()) {
      List<Way> ways = neighbour.get().ways();
      return ways.isEmpty() ? belowOf(neighbour.get()) : Stretch.endOf(ways.get(ways.size() - 1));
    }
    if (stretch.around() == null) {
      return stretch.below();
    }
    List<Way> ways = stretch.around().ways();
    int at = ways.indexOf(stretch.way());
    return at > 0 ? Stretch.endOf(ways.get(at - 1)) : belowOf(stretch.around());
  }

  private String belowOf(Step step) {
    return Stretch.covering(journey, Set.of(Stretch.rowOf(step))).orElseThrow().below();
  }

  /** The row that a stretch is below when it has moved down by one place. */
  private static String below(Stretch stretch) {
    Optional<Step> neighbour = stretch.after();
    if (neighbour.isPresent()) {
      List<Way> ways = neighbour.get().ways();
      return ways.isEmpty() ? Stretch.rowOf(neighbour.get()) : Stretch.rowOf(ways.get(0));
    }
    if (stretch.around() == null) {
      return stretch.below();
    }
    List<Way> ways = stretch.around().ways();
    int at = ways.indexOf(stretch.way());
    return at + 1 < ways.size() ? Stretch.rowOf(ways.get(at + 1)) : Stretch.rowOf(stretch.around());
  }

  /** The step that parts people, if one of its arms alone is chosen. */
  private Optional<Step> partedBy(Set<String> rows) {
    return rows.size() == 1
        ? journey
            .steps()
            .filter(step -> step.ways().stream().map(Stretch::rowOf).anyMatch(rows::contains))
            .findFirst()
        : Optional.empty();
  }

  private Arranged swapped(Step step, String arm, int by) {
    List<String> arms = new ArrayList<>(step.ways().stream().map(Stretch::rowOf).toList());
    int fixed = step instanceof Step.Branch ? 1 : 0;
    int at = arms.indexOf(arm);
    if (at >= arms.size() - fixed || at + by >= arms.size() - fixed && by > 0 && fixed > 0) {
      return refused("Everybody else comes last: that arm keeps its place.");
    }
    if (at + by < 0 || at + by >= arms.size()) {
      return new Arranged.Done(journey, List.of(step));
    }
    return unlessUnanswerable(
        StepEdits.change(journey, step.id(), old -> swapped((Step.Parting) old, at, at + by)),
        List.of(step));
  }

  private static Step swapped(Step.Parting step, int one, int other) {
    return switch (step) {
      case Step.Branch branch ->
          new Step.Branch(
              branch.id(),
              branch.waitUpTo(),
              swapped(branch.arms(), one, other),
              branch.otherwise());
      case Step.SplitTest split ->
          new Step.SplitTest(split.id(), swapped(split.arms(), one, other));
    };
  }

  private static <A> List<A> swapped(List<A> arms, int one, int other) {
    List<A> changed = new ArrayList<>(arms);
    Collections.swap(changed, one, other);
    return changed;
  }

  private static Arranged refused(String why) {
    return new Arranged.Refused(why);
  }
}
