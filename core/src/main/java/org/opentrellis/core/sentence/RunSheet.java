package org.opentrellis.core.sentence;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.LeaveRule;
import org.opentrellis.core.journey.SecondaryGoal;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepEdits;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.journey.Way;

/**
 * The journey as an indented list of sentences. The steps of a strand stand under the step that
 * includes it.
 *
 * @param opening how people come in
 * @param rules what holds all through the journey
 * @param rows steps and arms, in order
 * @param goal what it is for
 * @param secondaryGoals what else it is for
 */
public record RunSheet(
    Line opening, List<Line> rules, List<Row> rows, Line goal, List<Line> secondaryGoals) {
  /** What the lines that are not steps are called by. */
  public static final String OPENING = StepEdits.BEGINNING;

  public static final String GOAL = "goal";
  public static final String SECONDARY_GOAL = "goal-";
  public static final String LEAVE = "leave-";
  public static final String WINDOW = "window";
  public static final String ZONE = "zone";
  public static final String GUARD = "guard";
  public static final String SENDER = "sender";

  /**
   * A line about the whole journey.
   *
   * @param id what it is about; leave rules are counted from {@code leave-0}, and secondary goals
   *     from {@code goal-0}
   * @param sentence what it says
   * @param typed the same as it can be typed
   */
  public record Line(String id, Phrase sentence, Phrase typed) {}

  /** The lines that are about the whole journey. */
  public Stream<Line> lines() {
    return Stream.of(List.of(opening), rules, List.of(goal), secondaryGoals).flatMap(List::stream);
  }

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
   * @param typed the same as it can be typed, its strong pieces being what can be chosen; empty
   *     where nothing can be
   * @param brief the same in a word or two
   * @param label the arms it is in, such as {@code B.a}; null in the body
   * @param ofStrand whether it belongs to a strand, where it is changed
   */
  public record Row(
      String id,
      Kind kind,
      int depth,
      Phrase sentence,
      Phrase typed,
      String brief,
      @Nullable String label,
      boolean ofStrand) {}

  public static RunSheet of(Journey journey, Catalogue catalogue) {
    return new Writer(journey, new Sentences(journey, catalogue)).sheet(catalogue);
  }

  /** Writes the sheet, in both styles. */
  private static final class Writer {
    private final Journey journey;
    private final Sentences spoken;
    private final Sentences typed;
    private final List<Row> rows = new ArrayList<>();

    Writer(Journey journey, Sentences spoken) {
      this.journey = journey;
      this.spoken = spoken;
      this.typed = spoken.typed();
    }

    RunSheet sheet(Catalogue catalogue) {
      add(Strands.expand(journey, catalogue).body(), 0, null);
      return new RunSheet(
          line(OPENING, Sentences::opening),
          rules(),
          rows,
          line(GOAL, Sentences::goal),
          secondaryGoals());
    }

    private Line line(String id, Function<Sentences, Phrase> say) {
      return new Line(id, say.apply(spoken), say.apply(typed));
    }

    private List<Line> rules() {
      List<Line> rules = new ArrayList<>();
      for (LeaveRule rule : journey.leaveWhen()) {
        rules.add(line(LEAVE + rules.size(), s -> s.leaveWhen(rule)));
      }
      journey.sendWindow().ifPresent(w -> rules.add(line(WINDOW, s -> s.sendWindow(w))));
      journey.zone().ifPresent(z -> rules.add(line(ZONE, s -> s.zone(z))));
      journey.frequencyGuard().ifPresent(g -> rules.add(line(GUARD, s -> s.guard(g))));
      journey.sender().ifPresent(from -> rules.add(line(SENDER, s -> s.sender(from))));
      return rules;
    }

    private List<Line> secondaryGoals() {
      List<Line> goals = new ArrayList<>();
      for (SecondaryGoal goal : journey.secondaryGoals()) {
        goals.add(line(SECONDARY_GOAL + goals.size(), s -> s.secondaryGoal(goal)));
      }
      return goals;
    }

    private void add(List<Step> steps, int depth, @Nullable String label) {
      for (Step step : steps) {
        boolean ofStrand = ofStrand(step.id());
        int in = depth + (int) step.id().value().chars().filter(c -> c == '/').count();
        Phrase asTyped = ofStrand ? Phrase.NOTHING : typed.step(step);
        rows.add(
            new Row(
                step.id().value(),
                kind(step),
                in,
                spoken.step(step),
                asTyped,
                spoken.brief(step),
                label,
                ofStrand));
        if (step instanceof Step.Parting parting) {
          addArms(parting, in, depth, label);
        }
      }
    }

    private void addArms(Step.Parting step, int in, int depth, @Nullable String label) {
      char letter = depth == 0 ? 'A' : 'a';
      for (Way way : step.ways()) {
        String inside = label == null ? "" + letter : label + "." + letter;
        rows.add(arm(step, way, in + 1, inside));
        add(way.steps(), depth + 2, inside);
        letter++;
      }
    }

    private Row arm(Step.Parting step, Way way, int depth, String label) {
      boolean ofStrand = ofStrand(way.id());
      Phrase asTyped =
          ofStrand ? Phrase.NOTHING : typed.asked(step, way.id()).orElse(Phrase.NOTHING);
      Phrase who = spoken.way(step, way.id());
      return new Row(way.id().value(), Kind.ARM, depth, who, asTyped, who.text(), label, ofStrand);
    }

    private static boolean ofStrand(StepId id) {
      return id.value().indexOf('/') >= 0;
    }
  }

  private static Kind kind(Step step) {
    return switch (step) {
      case Step.SendEmail send -> Kind.SEND;
      case Step.SendText send -> Kind.TEXT;
      case Step.Wait wait -> Kind.WAIT;
      case Step.Branch branch -> Kind.BRANCH;
      case Step.SplitTest split -> Kind.SPLIT;
      case Step.Change change -> Kind.CHANGE;
      case Step.Include include -> Kind.INCLUDE;
      case Step.HandOver over -> Kind.HAND_OVER;
      case Step.Notify notify -> Kind.NOTIFY;
      case Step.Finish finish -> Kind.FINISH;
    };
  }
}
