package org.opentrellis.core.sentence;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Arm;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.Step;

/**
 * The journey as an indented list of sentences.
 *
 * @param opening how people come in and what for
 * @param rows steps and arms, in order
 */
public record RunSheet(Phrase opening, List<Row> rows) {

  /** What a row stands for. */
  public enum Kind {
    SEND,
    WAIT,
    BRANCH,
    ARM,
    CHANGE,
    FINISH
  }

  /**
   * One line.
   *
   * @param id the step's or arm's
   * @param kind what it is
   * @param depth how far it is indented; 0 in the body
   * @param sentence what it says
   * @param brief the same in a word or two
   * @param label the arms it is in, such as {@code B.a}; null in the body
   */
  public record Row(
      String id, Kind kind, int depth, Phrase sentence, String brief, @Nullable String label) {}

  public static RunSheet of(Journey journey, List<Message> messages) {
    Sentences sentences = new Sentences(journey, messages);
    List<Row> rows = new ArrayList<>();
    add(journey.body(), 0, null, sentences, rows);
    return new RunSheet(sentences.opening(), rows);
  }

  private static void add(
      List<Step> steps, int depth, @Nullable String label, Sentences sentences, List<Row> rows) {
    for (Step step : steps) {
      String brief = sentences.brief(step);
      rows.add(new Row(step.id().value(), kind(step), depth, sentences.step(step), brief, label));
      if (step instanceof Step.Branch branch) {
        char letter = depth == 0 ? 'A' : 'a';
        for (Arm arm : branch.allArms()) {
          String inside = label == null ? "" + letter : label + "." + letter;
          Phrase who = sentences.arm(branch, arm);
          rows.add(new Row(arm.id().value(), Kind.ARM, depth + 1, who, who.text(), inside));
          add(arm.steps(), depth + 2, inside, sentences, rows);
          letter++;
        }
      }
    }
  }

  private static Kind kind(Step step) {
    if (step instanceof Step.SendEmail) {
      return Kind.SEND;
    }
    if (step instanceof Step.Pause) {
      return Kind.WAIT;
    }
    if (step instanceof Step.Branch) {
      return Kind.BRANCH;
    }
    return step instanceof Step.Change ? Kind.CHANGE : Kind.FINISH;
  }
}
