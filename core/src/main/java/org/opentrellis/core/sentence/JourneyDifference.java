package org.opentrellis.core.sentence;

import com.github.difflib.DiffUtils;
import com.github.difflib.patch.AbstractDelta;
import com.github.difflib.patch.DeltaType;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;

/**
 * What two versions of a journey say differently: the lines of the later one in their order, and
 * those that are gone where they stood.
 */
public final class JourneyDifference {
  /** The line that says what the journey is called and its purpose. */
  public static final String NAME = "name";

  /** What is told apart of a line: where it stands and what it says with nothing left out. */
  private record Said(int depth, String text) {}

  private final Map<String, Said> before;
  private final Map<String, Said> after;
  private final Set<String> stayed;

  private JourneyDifference(Journey before, Journey after, Catalogue catalogue) {
    this.before = said(before, catalogue);
    this.after = said(after, catalogue);
    this.stayed = stayed(List.copyOf(this.before.keySet()), List.copyOf(this.after.keySet()));
  }

  public static List<DifferenceLine> between(Journey before, Journey after, Catalogue catalogue) {
    return new JourneyDifference(before, after, catalogue).lines();
  }

  private static Map<String, Said> said(Journey journey, Catalogue catalogue) {
    RunSheet sheet = RunSheet.of(journey, catalogue);
    Map<String, Said> all = new LinkedHashMap<>();
    all.put(NAME, new Said(0, journey.name() + ", " + journey.purpose().word()));
    all.put(sheet.opening().id(), new Said(0, sheet.opening().typed().text()));
    sheet.rules().forEach(rule -> all.put(rule.id(), new Said(0, rule.typed().text())));
    sheet.rows().stream()
        .filter(row -> !row.ofStrand())
        .forEach(row -> all.put(row.id(), new Said(row.depth(), text(row))));
    all.put(sheet.goal().id(), new Said(0, sheet.goal().typed().text()));
    sheet.secondaryGoals().forEach(goal -> all.put(goal.id(), new Said(0, goal.typed().text())));
    return all;
  }

  private static String text(RunSheet.Row row) {
    String said = row.typed().spans().isEmpty() ? row.sentence().text() : row.typed().text();
    return row.kind() == RunSheet.Kind.ARM ? row.label() + ": " + said : said;
  }

  /** The lines of both that kept their order. */
  private static Set<String> stayed(List<String> before, List<String> after) {
    Set<String> stayed = new HashSet<>(before);
    for (AbstractDelta<String> delta : DiffUtils.diff(before, after).getDeltas()) {
      if (delta.getType() != DeltaType.INSERT) {
        stayed.removeAll(delta.getSource().getLines());
      }
    }
    return stayed;
  }

  private List<DifferenceLine> lines() {
    List<DifferenceLine> lines = new ArrayList<>();
    Set<String> told = new HashSet<>();
    for (String row : after.keySet()) {
      if (stayed.contains(row)) {
        goneBefore(row, told, lines);
      }
      lines.add(line(row));
    }
    goneBefore(null, told, lines);
    return lines;
  }

  /** Those that are gone and stood above a line, if they have not been told yet. */
  private void goneBefore(@Nullable String row, Set<String> told, List<DifferenceLine> lines) {
    for (Map.Entry<String, Said> one : before.entrySet()) {
      if (one.getKey().equals(row)) {
        return;
      }
      if (!after.containsKey(one.getKey()) && told.add(one.getKey())) {
        Said said = one.getValue();
        lines.add(
            new DifferenceLine(
                DifferenceLine.Kind.REMOVED, one.getKey(), said.depth(), said.text(), null));
      }
    }
  }

  private DifferenceLine line(String row) {
    Said now = after.get(row);
    Said old = before.get(row);
    if (old == null) {
      return new DifferenceLine(DifferenceLine.Kind.ADDED, row, now.depth(), null, now.text());
    }
    DifferenceLine.Kind kind = DifferenceLine.Kind.SAME;
    if (!old.text().equals(now.text())) {
      kind = DifferenceLine.Kind.CHANGED;
    } else if (!stayed.contains(row) || old.depth() != now.depth()) {
      kind = DifferenceLine.Kind.MOVED;
    }
    return new DifferenceLine(kind, row, now.depth(), old.text(), now.text());
  }
}
