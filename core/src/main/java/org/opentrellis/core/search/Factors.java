package org.opentrellis.core.search;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.opentrellis.core.calendar.SendWindow;
import org.opentrellis.core.journey.FrequencyGuard;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.sentence.Sentences;
import org.opentrellis.core.vary.VariedRun;

/** What may vary of a plan, worked out: each leeway with the levels that are tried. */
final class Factors {
  private final VariedRun plan;
  private final Sentences sentences;

  Factors(VariedRun plan) {
    this.plan = plan;
    this.sentences = new Sentences(plan.journey(), plan.catalogue());
  }

  /**
   * @throws Refused if it is about a step that the journey does not have, or that has nothing of
   *     the kind
   */
  Factor of(Leeway leeway) {
    return switch (leeway) {
      case Leeway.Length length -> new WaitFactors(this).length(length);
      case Leeway.ClockTime time -> new WaitFactors(this).clockTime(time);
      case Leeway.OnDays days -> new WaitFactors(this).onDays(days);
      case Leeway.Tries tries -> new EmailFactors(this).tries(tries);
      case Leeway.Order order -> new EmailFactors(this).order(order);
      case Leeway.Absence absence -> new EmailFactors(this).absence(absence);
      case Leeway.Weights weights -> new WeightFactors(this).weights(weights);
      case Leeway.Window window -> window(window);
      case Leeway.Frequency frequency -> frequency(frequency);
    };
  }

  VariedRun plan() {
    return plan;
  }

  Sentences sentences() {
    return sentences;
  }

  Step step(StepId id) {
    return plan.journey()
        .steps()
        .filter(step -> step.id().equals(id))
        .findFirst()
        .orElseThrow(() -> new Refused("the journey has no step %s of its own".formatted(id)));
  }

  /** A step's sentence with the next email behind it, so that one wait is told from another. */
  String placed(Step step) {
    return sentences.step(step).text() + place(step);
  }

  private String place(Step step) {
    return Neighbours.emailBehind(plan.journey(), step.id())
        .map(email -> ", before \u201c%s\u201d".formatted(sentences.brief(email)))
        .orElse("");
  }

  /** A level that changes the journey alone, told by how a step reads before and after. */
  Level reading(StepId id, String key, String brief, UnaryOperator<Journey> change) {
    Journey after = change.apply(plan.journey());
    Step step = after.steps().filter(one -> one.id().equals(id)).findFirst().orElseThrow();
    Step now = step(id);
    String words =
        "\u201c%s\u201d instead of \u201c%s\u201d%s"
            .formatted(
                new Sentences(after, plan.catalogue()).step(step).text(),
                sentences.step(now).text(),
                place(now));
    return new Level(key, brief, words, from -> from.with(change.apply(from.journey())));
  }

  private Factor window(Leeway.Window leeway) {
    List<Level> levels = new ArrayList<>();
    Optional<SendWindow> now = plan.journey().sendWindow();
    List<Optional<SendWindow>> windows = choices(now, leeway.windows(), leeway.orAlways());
    for (Optional<SendWindow> one : windows) {
      String brief = one.map(SendWindow::inWords).orElse("at any time");
      levels.add(
          new Level(
              brief,
              brief,
              "Emails go out %s instead of %s"
                  .formatted(brief, now.map(SendWindow::inWords).orElse("at any time")),
              from -> from.with(from.journey().edit().sendWindow(one).done())));
    }
    return new Factor("window", "When emails may go out", levels, windows.indexOf(now));
  }

  private Factor frequency(Leeway.Frequency leeway) {
    List<Level> levels = new ArrayList<>();
    Optional<FrequencyGuard> now = plan.journey().frequencyGuard();
    List<Optional<FrequencyGuard>> guards = choices(now, leeway.guards(), leeway.orNone());
    for (Optional<FrequencyGuard> one : guards) {
      String brief = one.map(this::guard).orElse("no frequency guard");
      levels.add(
          new Level(
              brief,
              brief,
              "%s instead of %s"
                  .formatted(capitalised(brief), now.map(this::guard).orElse("no frequency guard")),
              from -> from.with(from.journey().edit().frequencyGuard(one).done())));
    }
    return new Factor("frequency", "How many emails are enough", levels, guards.indexOf(now));
  }

  private String guard(FrequencyGuard guard) {
    String said = sentences.guard(guard).text();
    return Character.toLowerCase(said.charAt(0))
        + said.substring(1).replace(" from all journeys", "");
  }

  private static String capitalised(String words) {
    return Character.toUpperCase(words.charAt(0)) + words.substring(1);
  }

  private static <T> List<Optional<T>> choices(Optional<T> now, List<T> others, boolean orNone) {
    List<Optional<T>> all = new ArrayList<>(List.of(now));
    if (orNone && now.isPresent()) {
      all.add(Optional.empty());
    }
    others.stream().map(Optional::of).filter(one -> !all.contains(one)).forEach(all::add);
    return all;
  }
}
