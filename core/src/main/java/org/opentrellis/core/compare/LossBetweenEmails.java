package org.opentrellis.core.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.journey.SentAbove;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.measure.DropOff;
import org.opentrellis.core.measure.Share;
import org.opentrellis.core.measure.StepMeasures;

/**
 * Many people who got one email do not get to the next, although nobody is sent another way: at
 * least {@value #LEAST_GONE} of them. Where most of those met the goal it is the goal working.
 */
final class LossBetweenEmails implements StandOutRule {
  private static final double LEAST_GONE = 0.15;
  private static final double MOSTLY = 0.5;

  @Override
  public List<StandOut> find(ComparedJourney side, int place) {
    List<StandOut> found = new ArrayList<>();
    List<StepMeasures> emails = side.messages();
    for (int i = 0; i + 1 < emails.size(); i++) {
      StepMeasures here = emails.get(i);
      Optional<StepMeasures> after = next(side, here, emails.subList(i + 1, emails.size()));
      if (after.isEmpty()) {
        continue;
      }
      StepMeasures next = after.get();
      List<DropOff.DropPlace> between = between(side, here, next.id());
      long reached = here.reach().count();
      long met = between.stream().mapToLong(DropOff.DropPlace::met).sum();
      long lost = between.stream().mapToLong(one -> one.lost().count()).sum();
      if (reached > 0 && met + lost >= LEAST_GONE * reached) {
        found.add(told(side, place, here, next, reached, met, lost));
      }
    }
    return found;
  }

  /** The email that those who got one may get next; arms beside it are none of theirs. */
  private static Optional<StepMeasures> next(
      ComparedJourney side, StepMeasures here, List<StepMeasures> later) {
    return later.stream().filter(step -> above(side, step.id()).contains(here.id())).findFirst();
  }

  private static StandOut told(
      ComparedJourney side,
      int place,
      StepMeasures here,
      StepMeasures next,
      long reached,
      long met,
      long lost) {
    Share gone = Share.of(met + lost, reached);
    String who =
        "%s: %s of those who get \u201c%s\u201d are gone before \u201c%s\u201d"
            .formatted(
                side.quoted(),
                Judge.percent(gone.value()),
                side.nameOf(here.id()),
                side.nameOf(next.id()));
    Share goal = Share.of(met, met + lost);
    boolean works = met > MOSTLY * (met + lost);
    return new StandOut(
        works ? "loss-is-the-goal" : "loss-between-emails",
        works
            ? "%s; %s of them met the goal, so that is the goal working, not a leak."
                .formatted(who, Judge.percent(goal.value()))
            : "%s; only %s of them met the goal: %,d were lost."
                .formatted(who, Judge.percent(goal.value()), lost),
        place,
        here.id(),
        Compared.REACHED,
        (works ? 20 : 70) + 20 * (double) (met + lost) / reached);
  }

  /**
   * The places where those who got an email may end before the next. Where people of other arms
   * come in between, nothing is said, since it would not be known whose they are.
   */
  private static List<DropOff.DropPlace> between(
      ComparedJourney side, StepMeasures from, String to) {
    List<DropOff.DropPlace> places =
        side.dropOff().places().stream()
            .filter(
                one -> {
                  List<String> above = above(side, one.step());
                  return above.contains(from.id()) && !above.contains(to);
                })
            .toList();
    boolean mixed = places.stream().anyMatch(one -> one.reached() > from.reach().count());
    return mixed ? List.of() : places;
  }

  private static List<String> above(ComparedJourney side, String step) {
    List<Step.Send> above = new ArrayList<>();
    SentAbove.collect(side.journey().body(), step, above);
    return above.stream().map(send -> send.id().value()).toList();
  }
}
