package org.opentrellis.core.arrange;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.SentAbove;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.sentence.Sentences;

/** Questions about emails that cannot have been sent where they are asked. */
public final class Unanswerable {
  /**
   * @param asker the step that asks
   * @param email the step that would send it
   */
  private record Asked(StepId asker, StepId email) {}

  private Unanswerable() {}

  /** Why a change may not be made: the first question that it leaves without an answer. */
  public static Optional<String> newIn(Journey after, Journey before, Catalogue catalogue) {
    Set<Asked> known = in(before, catalogue);
    return in(after, catalogue).stream()
        .filter(asked -> !known.contains(asked))
        .findFirst()
        .map(asked -> why(asked, after, before, catalogue));
  }

  private static Set<Asked> in(Journey journey, Catalogue catalogue) {
    Set<Asked> found = new java.util.LinkedHashSet<>();
    List<Step> body = Strands.expand(journey, catalogue).body();
    body.stream()
        .flatMap(Step::all)
        .forEach(
            step -> {
              Set<StepId> asked = asked(step);
              if (!asked.isEmpty()) {
                asked.removeAll(sentAbove(body, step));
                asked.forEach(email -> found.add(new Asked(step.id(), email)));
              }
            });
    return found;
  }

  /** The sends that a step itself asks about. */
  static Set<StepId> asked(Step step) {
    Set<StepId> emails = new HashSet<>();
    step.conditions().stream()
        .flatMap(Condition::all)
        .filter(Condition.AboutEmail.class::isInstance)
        .forEach(one -> ((Condition.AboutEmail) one).step().ifPresent(emails::add));
    return emails;
  }

  private static Set<StepId> sentAbove(List<Step> body, Step step) {
    List<Step.Send> above = new ArrayList<>();
    SentAbove.collect(body, step.id().value(), above);
    Set<StepId> sent = new HashSet<>();
    above.stream().filter(send -> send != step).forEach(send -> sent.add(send.id()));
    return sent;
  }

  private static String why(Asked asked, Journey after, Journey before, Catalogue catalogue) {
    Sentences sentences = new Sentences(after, catalogue);
    String asker = sentences.step(find(after, asked.asker())).text();
    Optional<Step> email =
        before.steps().filter(step -> step.id().equals(asked.email())).findFirst();
    if (email.isEmpty()) {
      return "\u201c%s\u201d asks about an email that is not in this journey. Copy that email with it."
          .formatted(asker);
    }
    return "Then \u201c%s\u201d would ask about \u201c%s\u201d, which would not have been sent above it."
        .formatted(asker, sentences.brief(email.get()));
  }

  private static Step find(Journey journey, StepId id) {
    return journey.steps().filter(step -> step.id().equals(id)).findFirst().orElseThrow();
  }
}
