package org.opentrellis.core.sentence;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.journey.Way;

/**
 * The journey as an indented list of sentences. The steps of a strand stand under the step that
 * includes it.
 *
 * @param opening how people come in and what for
 * @param rules what holds all through the journey
 * @param rows steps and arms, in order
 */
public record RunSheet(Phrase opening, List<Phrase> rules, List<Row> rows) {

  /** What a row stands for. */
  public enum Kind {
    SEND,
    TEXT,
    WAIT,
    BRANCH,
    SPLIT,
    ARM,
    CHANGE,
    INCLUDE,
    HAND_OVER,
    NOTIFY,
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
   * @param ofStrand whether it belongs to a strand, where it is changed
   */
  public record Row(
      String id,
      Kind kind,
      int depth,
      Phrase sentence,
      String brief,
      @Nullable String label,
      boolean ofStrand) {}

  public static RunSheet of(Journey journey, Catalogue catalogue) {
    Sentences sentences = new Sentences(journey, catalogue);
    List<Row> rows = new ArrayList<>();
    add(Strands.expand(journey, catalogue).body(), 0, null, sentences, rows);
    return new RunSheet(sentences.opening(), sentences.rules(), rows);
  }

  private static void add(
      List<Step> steps, int depth, @Nullable String label, Sentences sentences, List<Row> rows) {
    for (Step step : steps) {
      int in = depth + (int) step.id().value().chars().filter(c -> c == '/').count();
      rows.add(row(step.id(), kind(step), in, sentences.step(step), sentences.brief(step), label));
      char letter = depth == 0 ? 'A' : 'a';
      for (Way way : step.ways()) {
        String inside = label == null ? "" + letter : label + "." + letter;
        Phrase who = sentences.way(step, way.id());
        rows.add(row(way.id(), Kind.ARM, in + 1, who, who.text(), inside));
        add(way.steps(), depth + 2, inside, sentences, rows);
        letter++;
      }
    }
  }

  private static Row row(
      StepId id, Kind kind, int depth, Phrase sentence, String brief, @Nullable String label) {
    boolean ofStrand = id.value().indexOf('/') >= 0;
    return new Row(id.value(), kind, depth, sentence, brief, label, ofStrand);
  }

  private static Kind kind(Step step) {
    if (step instanceof Step.Send) {
      return step instanceof Step.SendText ? Kind.TEXT : Kind.SEND;
    }
    if (step instanceof Step.Wait) {
      return Kind.WAIT;
    }
    if (step instanceof Step.Branch) {
      return Kind.BRANCH;
    }
    if (step instanceof Step.SplitTest) {
      return Kind.SPLIT;
    }
    if (step instanceof Step.Change) {
      return Kind.CHANGE;
    }
    if (step instanceof Step.Include) {
      return Kind.INCLUDE;
    }
    if (step instanceof Step.HandOver) {
      return Kind.HAND_OVER;
    }
    return step instanceof Step.Notify ? Kind.NOTIFY : Kind.FINISH;
  }
}
