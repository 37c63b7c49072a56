package org.opentrellis.core.compare;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.dryrun.Effort;
import org.opentrellis.core.dryrun.PairedSends;
import org.opentrellis.core.measure.Share;
import org.opentrellis.core.measure.StepMeasures;

/**
 * The messages of some runs, lined up, by one measure; all differences of the table are judged
 * together.
 *
 * @param compared what of each message
 * @param baseline the place of the run that the others are compared with
 */
public record ComparedTable(
    LineUp lineUp, Compared compared, int baseline, List<ComparedRow> rows) {
  /**
   * @param cells by run; null where it has nothing to stand there
   */
  public record ComparedRow(String label, List<@Nullable ComparedCell> cells) {}

  /**
   * One message of one run.
   *
   * @param step that sends it
   * @param name what it is called
   * @param reach who got there, of those who entered
   * @param share the measure
   * @param before the change from the message before in the same run, in [-1, 1]; null for the
   *     first. Partly the same people got both, so no chance is given for it
   * @param against the difference to the run that the others are compared with; null for that run,
   *     and where one of the two has nobody
   */
  public record ComparedCell(
      String step,
      String name,
      Share reach,
      Share share,
      @Nullable Double before,
      @Nullable Judged against) {}

  static ComparedTable of(
      List<ComparedJourney> sides, int baseline, LineUp lineUp, Compared compared, Effort effort) {
    Map<String, List<@Nullable StepMeasures>> rows = lineUp.rows(sides);
    List<Judge.Case> cases = new ArrayList<>();
    Map<Integer, PairedSends> paired = paired(sides, baseline, rows, effort);
    rows.forEach(
        (label, row) -> {
          StepMeasures base = row.get(baseline);
          for (int i = 0; i < row.size(); i++) {
            StepMeasures now = row.get(i);
            if (i != baseline && now != null && base != null) {
              cases.add(
                  comparison(
                      sides.get(i), now, sides.get(baseline), base, compared, paired.get(i)));
            }
          }
        });
    List<@Nullable Judged> judged = Judge.all(cases);
    List<Map<String, Double>> changes =
        sides.stream().map(side -> changes(side, compared)).toList();
    List<ComparedRow> done = new ArrayList<>();
    int n = 0;
    for (Map.Entry<String, List<@Nullable StepMeasures>> row : rows.entrySet()) {
      List<@Nullable ComparedCell> cells = new ArrayList<>();
      for (int i = 0; i < sides.size(); i++) {
        StepMeasures step = row.getValue().get(i);
        boolean against = i != baseline && step != null && row.getValue().get(baseline) != null;
        Judged verdict = against ? judged.get(n++) : null;
        cells.add(
            step == null
                ? null
                : new ComparedCell(
                    step.id(),
                    sides.get(i).nameOf(step.id()),
                    step.reach(),
                    compared.of(step),
                    changes.get(i).get(step.id()),
                    verdict));
      }
      done.add(new ComparedRow(row.getKey(), cells));
    }
    return new ComparedTable(lineUp, compared, baseline, done);
  }

  private static Map<Integer, PairedSends> paired(
      List<ComparedJourney> sides,
      int baseline,
      Map<String, List<@Nullable StepMeasures>> rows,
      Effort effort) {
    ComparedJourney base = sides.get(baseline);
    Map<Integer, PairedSends> all = new HashMap<>();
    for (int i = 0; i < sides.size(); i++) {
      if (i == baseline || !sides.get(i).samePeopleAs(base)) {
        continue;
      }
      Set<PairedSends.Pair> pairs = new HashSet<>();
      for (List<@Nullable StepMeasures> row : rows.values()) {
        StepMeasures now = row.get(i);
        StepMeasures then = row.get(baseline);
        if (now != null && then != null) {
          pairs.add(new PairedSends.Pair(now.id(), then.id()));
        }
      }
      ComparedJourney side = sides.get(i);
      all.put(
          i,
          PairedSends.of(
              side.run(), side.number(), base.run(), base.number(), List.copyOf(pairs), effort));
    }
    return all;
  }

  private static Judge.Case comparison(
      ComparedJourney side,
      StepMeasures now,
      ComparedJourney base,
      StepMeasures then,
      Compared compared,
      @Nullable PairedSends paired) {
    Share share = compared.of(now);
    Share other = compared.of(then);
    boolean some = share.of() > 0 && other.of() > 0;
    UnjudgedDifference raw =
        !some
            ? null
            : paired == null
                ? UnjudgedDifference.unpaired(share, other)
                : UnjudgedDifference.paired(
                    paired.ratios(
                        new PairedSends.Pair(now.id(), then.id()), compared.of, compared.among));
    return new Judge.Case(
        raw,
        "%s %s in %s against %s in %s"
            .formatted(
                Judge.percent(share.value()),
                compared.words(),
                side.quoted(),
                Judge.percent(other.value()),
                base.quoted()),
        "points",
        100,
        Math.min(side.measures().people(), base.measures().people()));
  }

  private static Map<String, Double> changes(ComparedJourney side, Compared compared) {
    Map<String, Double> changes = new HashMap<>();
    Double before = null;
    for (StepMeasures message : side.messages()) {
      Double now = compared.of(message).value();
      if (now != null && before != null) {
        changes.put(message.id(), now - before);
      }
      before = now == null ? before : now;
    }
    return changes;
  }
}
