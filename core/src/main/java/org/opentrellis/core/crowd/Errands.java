package org.opentrellis.core.crowd;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.happening.Line;
import org.opentrellis.core.happening.MessageRef;
import org.opentrellis.core.journey.Money;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.machine.PersonState;

/**
 * What one of a dry run's people goes to do so that the same happens to them: they sign up at the
 * moment at which the form brings them in, and early enough for whatever else brings them in; they
 * leave their cart as long before as the journey waits. What the mail server or time does is left
 * out.
 */
public final class Errands {
  /** From the form to the link in the mail. */
  static final long CONFIRM_SECONDS = 180;

  private static final long HOUR = 3600;

  /**
   * So long before the run begins at UTC the first come who sign up before anything brings them.
   */
  private static final long EARLY_SECONDS = 23 * HOUR;

  /** Over so long they come: the last before the run's first midnight in any zone (UTC+14). */
  private static final long EARLY_SPREAD = 8 * HOUR;

  private static final long MINUTE = 60;

  private Errands() {}

  /**
   * @param number of the person, from 0
   * @param rehearsal what the run makes of them
   * @param confirms whether whoever signs up has to confirm
   * @return in order of time
   */
  public static List<Errand> of(DryRun run, int number, Rehearsal rehearsal, boolean confirms) {
    List<Errand> errands = new ArrayList<>();
    List<Long> in = new ArrayList<>();
    Set<MessageRef> read = new HashSet<>();
    for (Happening act : rehearsal.acts()) {
      switch (act) {
        case Happening.Came came -> {
          if (isByForm(came.by())) {
            in.add(came.at());
          } else if (came.by() instanceof Trigger.LeavesCart cart) {
            errands.add(
                new Errand.Does(cart(rehearsal.begun(), came.at() - cart.minutes() * MINUTE)));
          }
        }
        case Happening.Delivered delivered -> {}
        // A mail program that did not load the picture ahead loads it when the mail is read.
        case Happening.OpenRecorded recorded -> {
          if (!opens(rehearsal.acts(), recorded)) {
            errands.add(new Errand.Does(recorded));
          }
        }
        default -> errands.add(new Errand.Does(act));
      }
    }
    long first = errands.stream().mapToLong(Errand::at).min().orElse(Long.MAX_VALUE);
    if (in.isEmpty() || first < in.getFirst()) {
      in.addFirst(early(run, number));
    }
    return Stream.concat(in.stream().flatMap(at -> comesIn(at, confirms)), errands.stream())
        .sorted(Comparator.comparingLong(Errand::at))
        .toList();
  }

  private static boolean opens(List<Happening> acts, Happening.OpenRecorded recorded) {
    return acts.stream()
        .anyMatch(
            one ->
                one instanceof Happening.Opened opened
                    && opened.at() == recorded.at()
                    && opened.message().equals(recorded.message()));
  }

  /** Whether submitting a form may be what a trigger waits for. */
  public static boolean isByForm(Trigger trigger) {
    return trigger instanceof Trigger.JoinsList
        || trigger instanceof Trigger.GetsTag
        || trigger instanceof Trigger.SubmitsForm;
  }

  private static Stream<Errand> comesIn(long at, boolean confirms) {
    return confirms
        ? Stream.of(new Errand.SignsUp(at - CONFIRM_SECONDS), new Errand.Confirms(at))
        : Stream.of(new Errand.SignsUp(at));
  }

  private static long early(DryRun run, int number) {
    long begins = run.settings().start().getEpochSecond();
    return begins - EARLY_SECONDS + EARLY_SPREAD * number / run.settings().people();
  }

  /** What lies in the cart that they leave; no lines if nothing is assumed of what it is. */
  private static Happening cart(PersonState begun, long at) {
    List<Line> lines = new ArrayList<>();
    for (PersonState.CartLine line : begun.carts()) {
      if (line.at() == at && line.product().isPresent()) {
        lines.add(new Line(line.product().get(), 1, new Money(line.cents())));
      }
    }
    return new Happening.CartChanged(at, lines);
  }
}
