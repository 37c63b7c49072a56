package org.opentrellis.core.format;

import java.util.List;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Channel;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Segment;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.Strand;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.journey.Variant;
import org.opentrellis.core.journey.Way;
import org.opentrellis.core.problem.Problems;

/**
 * What a document must keep to beyond the form of its parts: sizes, and that messages exist. A
 * question about an email that is not there is no problem here, but a finding of the checks: a
 * draft may hold it.
 */
final class JourneyRules {
  static final int MOST_STEPS = 1000;
  static final int DEEPEST_STEPS = 12;
  static final int DEEPEST_CONDITION = 8;
  static final int MOST_PARTS = 26;
  private static final int MOST_TRIGGERS = 20;

  private final Catalogue catalogue;
  private final Problems problems;
  private int steps;

  private JourneyRules(Catalogue catalogue, Problems problems) {
    this.catalogue = catalogue;
    this.problems = problems;
  }

  static void check(Journey journey, Catalogue catalogue, String place, Problems problems) {
    JourneyRules rules = new JourneyRules(catalogue, problems);
    rules.atMost(journey.triggers().size(), MOST_TRIGGERS, "triggers", place + "/triggers");
    journey.entryFilter().ifPresent(filter -> rules.onRecordOnly(filter, place + "/entryFilter"));
    for (int i = 0; i < journey.leaveWhen().size(); i++) {
      rules.condition(journey.leaveWhen().get(i).when(), place + "/leaveWhen/" + i + "/when");
    }
    journey.goal().ifPresent(goal -> rules.condition(goal.what(), place + "/goal/what"));
    for (int i = 0; i < journey.secondaryGoals().size(); i++) {
      Condition what = journey.secondaryGoals().get(i).what();
      rules.condition(what, place + "/secondaryGoals/" + i + "/what");
    }
    rules.sequence(journey.body(), place + "/body", 0);
    rules.atMost(rules.steps, MOST_STEPS, "steps", place + "/body");
  }

  /** Checks strands and segments by themselves. */
  static void check(Catalogue catalogue, Problems problems) {
    Strands.circle(catalogue)
        .ifPresent(
            circle ->
                problems.add(
                    "strand-circle",
                    "/strands",
                    "Strands must not include each other in a circle: "
                        + String.join(" includes ", circle.stream().map(Object::toString).toList())
                        + "."));
    for (int i = 0; i < catalogue.strands().size(); i++) {
      Strand strand = catalogue.strands().get(i);
      new JourneyRules(catalogue, problems).sequence(strand.body(), "/strands/" + i + "/body", 0);
    }
    for (int i = 0; i < catalogue.segments().size(); i++) {
      Segment segment = catalogue.segments().get(i);
      new JourneyRules(catalogue, problems).onRecordOnly(segment.who(), "/segments/" + i + "/who");
    }
  }

  private void sequence(List<Step> sequence, String place, int depth) {
    if (depth > DEEPEST_STEPS) {
      problems.add("too-deep", place, "Branches may stand at most " + DEEPEST_STEPS + " deep.");
      return;
    }
    for (int i = 0; i < sequence.size(); i++) {
      step(sequence.get(i), place + "/" + i, depth);
    }
  }

  private void step(Step step, String place, int depth) {
    steps++;
    if (step instanceof Step.Send send) {
      messages(send, place);
    }
    for (Condition condition : step.conditions()) {
      condition(condition, place);
    }
    List<Way> ways = step.ways();
    atMost(ways.size(), MOST_PARTS, "arms", place + "/arms");
    for (int i = 0; i < ways.size(); i++) {
      boolean last = step instanceof Step.Branch && i == ways.size() - 1;
      String way = last ? "/otherwise" : "/arms/" + i;
      sequence(ways.get(i).steps(), place + way + "/steps", depth + 1);
    }
  }

  private void messages(Step.Send send, String place) {
    List<Variant> versions = send.versions();
    if (versions.isEmpty()) {
      message(send.message(), send.channel(), place + "/message");
    }
    for (int i = 0; i < versions.size(); i++) {
      message(versions.get(i).message(), send.channel(), place + "/variants/" + i + "/message");
    }
    atMost(versions.size(), MOST_PARTS, "variants", place + "/variants");
  }

  private void message(MessageId id, Channel channel, String place) {
    var message = catalogue.message(id);
    if (message.isEmpty()) {
      problems.add(
          "unknown-message",
          place,
          "There is no message \u201c%s\u201d. Write it first, or choose another.".formatted(id));
    } else if (message.get().channel() != channel) {
      problems.add(
          "wrong-channel",
          place,
          channel == Channel.EMAIL
              ? "\u201c%s\u201d is a text; an email is needed here.".formatted(message.get().name())
              : "\u201c%s\u201d is an email; a text is needed here."
                  .formatted(message.get().name()));
    }
  }

  private void condition(Condition condition, String place) {
    if (depth(condition) > DEEPEST_CONDITION) {
      problems.add(
          "too-deep", place, "Conditions may stand at most " + DEEPEST_CONDITION + " deep.");
    }
    boolean empty = condition.all().anyMatch(JourneyRules::isEmpty);
    if (empty) {
      problems.add("empty-condition", place, "Name at least one condition here.");
    }
  }

  private static boolean isEmpty(Condition condition) {
    return condition instanceof Condition.Combining combining && combining.parts().isEmpty();
  }

  private static int depth(Condition condition) {
    return 1 + condition.parts().stream().mapToInt(JourneyRules::depth).max().orElse(-1);
  }

  private void onRecordOnly(Condition condition, String place) {
    condition(condition, place);
    if (condition.all().anyMatch(Condition.AboutEmail.class::isInstance)) {
      problems.add(
          "bad-value",
          place,
          "Only what is known of a person can be asked here: no email has been sent yet.");
    }
  }

  private void atMost(int count, int most, String what, String place) {
    if (count > most) {
      problems.add(
          "too-many", place, "There may be at most %d %s, not %d.".formatted(most, what, count));
    }
  }
}
