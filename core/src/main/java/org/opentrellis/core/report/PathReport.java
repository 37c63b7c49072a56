package org.opentrellis.core.report;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.dryrun.JourneyTally;
import org.opentrellis.core.dryrun.PathTally;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.machine.LeaveReason;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.measure.Share;
import org.opentrellis.core.sentence.Sentences;
import org.opentrellis.core.walk.Turn;

/**
 * The distinct ways that people went: the same arms taken, and the same end at the same step.
 *
 * @param distinct how many ways there are, as far as they are kept apart
 * @param others how many people went ways beyond those
 * @param paths the commonest first
 * @param restOf how many ways are not among them
 * @param rest who went one of those, of entered
 */
public record PathReport(int distinct, long others, List<PathLine> paths, int restOf, Share rest) {
  private static final int TOLD = 40;
  private static final double DAY = 86_400;

  /**
   * @param words the arms taken and the end
   * @param people who went this way, of entered
   * @param goal who met the goal, of those; null for a journey without one
   * @param emails sent to each of them, on average, texts too
   * @param days from entry to the end, on average; to the horizon for those still inside
   * @param steps that they came to, in order, with the arms that they took
   */
  public record PathLine(
      String words,
      Share people,
      @Nullable Share goal,
      double emails,
      double days,
      List<String> steps) {}

  static PathReport of(Retold run, JourneyTally tally) {
    List<PathTally> all =
        tally.paths().kept().stream()
            .sorted(Comparator.comparingLong(PathTally::count).reversed())
            .toList();
    List<PathTally> told = all.subList(0, Math.min(TOLD, all.size()));
    Sentences sentences = new Sentences(tally.program().journey(), run.world().catalogue());
    List<PathLine> paths = told.stream().map(path -> path(run, tally, sentences, path)).toList();
    long named = told.stream().mapToLong(PathTally::count).sum();
    return new PathReport(
        all.size(),
        tally.paths().others(),
        paths,
        all.size() - told.size(),
        Share.of(tally.entered() - named, tally.entered()));
  }

  private static PathLine path(
      Retold run, JourneyTally tally, Sentences sentences, PathTally path) {
    Program program = tally.program();
    Way way = new Way(program, sentences);
    way.follow(run, path);
    return new PathLine(
        String.join("; ", way.words),
        Share.of(path.count(), tally.entered()),
        program.goal().isPresent() ? Share.of(path.goalMet(), path.count()) : null,
        (double) path.messages() / path.count(),
        path.seconds() / DAY / path.count(),
        way.steps);
  }

  /** One way, found by following the first who went it again. */
  private static final class Way {
    private final Program program;
    private final Sentences sentences;
    final List<String> words = new ArrayList<>();
    final List<String> steps = new ArrayList<>();

    Way(Program program, Sentences sentences) {
      this.program = program;
      this.sentences = sentences;
    }

    void follow(Retold run, PathTally path) {
      run.turns(path.firstPerson(), path.firstVisit()).forEach(this::add);
    }

    private void add(Turn turn) {
      switch (turn.kind()) {
        case GOT_TO -> steps.add(step(turn).id().value());
        case TOOK -> {
          words.add(took((Step.Parting) step(turn), turn.detail()));
          steps.add(step(turn).ways().get(turn.detail()).id().value());
        }
        case SKIPPED -> words.add("not sent \u201c%s\u201d".formatted(sentences.brief(step(turn))));
        case LEFT -> words.add(left(LeaveReason.values()[turn.detail()]));
        case FINISHED ->
            words.add(
                turn.step() >= 0 && step(turn) instanceof Step.Finish
                    ? "finished"
                    : "went through");
        case STILL_THERE -> words.add("still inside");
        default -> {}
      }
    }

    private Step step(Turn turn) {
      return program.steps().get(turn.step());
    }

    private String took(Step.Parting step, int way) {
      return switch (step) {
        case Step.Branch branch -> took(branch, way);
        case Step.SplitTest split -> "arm " + (char) ('A' + way) + " of the split test";
      };
    }

    private String took(Step.Branch branch, int way) {
      if (way < branch.arms().size()) {
        return sentences.condition(branch.arms().get(way).condition()).text();
      }
      return branch.arms().size() == 1
          ? "not " + sentences.condition(branch.arms().get(0).condition()).text()
          : "none of %s".formatted(sentences.brief(branch));
    }

    private static String left(LeaveReason reason) {
      return switch (reason) {
        case GOAL_MET -> "met the goal";
        case UNSUBSCRIBED -> "unsubscribed";
        case COMPLAINED -> "complained";
        case BOUNCED -> "address dead";
        case ERASED -> "erased";
        case RULE -> "left by a rule";
        case TAKEN_OUT -> "taken out by hand";
        case STOPPED -> "the journey was stopped";
      };
    }
  }
}
