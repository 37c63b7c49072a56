package org.opentrellis.core.rule;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.ReEntry;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.sentence.Sentences;

/**
 * What is done at once with whoever something happens to. It runs as a journey without waits.
 *
 * @param name what stories say that it was
 * @param when what has to happen; at least one
 * @param onlyIf what has to hold for them then
 * @param again whether it acts again on the same person
 * @param does changes, hand-overs and notices, in order; at least one
 */
public record StandingRule(
    String name, List<Trigger> when, Optional<Condition> onlyIf, ReEntry again, List<Step> does) {
  public StandingRule {
    when = List.copyOf(when);
    does = throughToItsEnd(does);
    if (when.isEmpty()) {
      throw new Refused(
          "a rule says what has to happen: begin with \u201cwhen someone \u2026\u201d");
    }
    if (does.isEmpty()) {
      throw new Refused(
          "a rule says what is done then: add \u201c, tag \u2026\u201d or \u201c, hand over to \u2026\u201d");
    }
  }

  /** Nothing is left out after a hand-over, and nothing goes on after the last. */
  private static List<Step> throughToItsEnd(List<Step> does) {
    List<Step> all = new ArrayList<>();
    for (Step step : does) {
      boolean last = all.size() == does.size() - 1;
      all.add(
          step instanceof Step.HandOver over
              ? new Step.HandOver(over.id(), over.journey(), last)
              : step);
    }
    return List.copyOf(all);
  }

  /** What a rule's sentence is read into: it acts every time, unless it says otherwise. */
  public static Journey unwritten(String name) {
    return Journey.empty(name, Purpose.OTHER).edit().reEntry(new ReEntry.EveryTime()).done();
  }

  /**
   * The rule that a journey is.
   *
   * @param catalogue with the messages that its sentences name
   * @throws Refused if something in it takes time, sends a message or parts the people
   */
  public static StandingRule of(Journey journey, Catalogue catalogue) {
    Sentences sentences = new Sentences(journey, catalogue);
    for (Step step : journey.body()) {
      if (!isForRules(step)) {
        throw new Refused(
            "a rule acts at once, and changes, hands over or tells the team: \u201c%s\u201d belongs into a journey"
                .formatted(lower(sentences.step(step).text())));
      }
    }
    if (journey.goal().isPresent()
        || !journey.leaveWhen().isEmpty()
        || journey.sendWindow().isPresent()
        || journey.frequencyGuard().isPresent()
        || journey.sender().isPresent()) {
      throw new Refused(
          "a rule only says when, for whom and what is done: the rest belongs into a journey");
    }
    return new StandingRule(
        journey.name(),
        journey.triggers(),
        journey.entryFilter(),
        journey.reEntry(),
        journey.body());
  }

  private static boolean isForRules(Step step) {
    return switch (step) {
      case Step.Change change -> true;
      case Step.HandOver over -> true;
      case Step.Notify notify -> true;
      case Step.Send send -> false;
      case Step.Wait wait -> false;
      case Step.Parting parting -> false;
      case Step.Include include -> false;
      case Step.Finish finish -> false;
    };
  }

  static String lower(String sentence) {
    return sentence.substring(0, 1).toLowerCase(Locale.ROOT) + sentence.substring(1);
  }

  /** The same under another name. */
  public StandingRule called(String other) {
    return new StandingRule(other, when, onlyIf, again, does);
  }

  /** The journey that it runs as; a draft. */
  public Journey journey() {
    return unwritten(name)
        .edit()
        .triggers(when)
        .entryFilter(onlyIf)
        .reEntry(again)
        .body(does)
        .done();
  }
}
