package org.opentrellis.app.messages;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Text;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;

/** Reads a message as somebody wants it saved; all that cannot be is told at once. */
final class WrittenReading {
  private static final int MOST_LABELS = 12;

  private WrittenReading() {}

  static Written of(String id, MessageDraft draft) {
    List<Problem> problems = new ArrayList<>();
    String name = named("a message's name", draft.name(), 80, "/name", problems);
    Set<String> labels = new LinkedHashSet<>();
    for (int i = 0; i < draft.labels().size(); i++) {
      labels.add(named("a label", draft.labels().get(i), 40, "/labels/" + i, problems));
    }
    if (labels.size() > MOST_LABELS) {
      String sentence = "A message has at most " + MOST_LABELS + " labels.";
      problems.add(new Problem(Refused.BAD_VALUE, "/labels", sentence));
    }
    try {
      Manuscript manuscript =
          ProblemsFound.within("/manuscript", () -> Documents.readManuscript(draft.manuscript()));
      if (problems.isEmpty()) {
        Written written =
            new Written(new MessageId(id), name, List.copyOf(labels), manuscript, null);
        written.seen();
        return written;
      }
    } catch (ProblemsFound found) {
      problems.addAll(found.problems());
    } catch (Refused refused) {
      problems.add(new Problem(refused.code(), "/manuscript", refused.sentence()));
    }
    throw new ProblemsFound(problems);
  }

  private static String named(
      String what, String value, int most, String place, List<Problem> problems) {
    try {
      return Text.named(what, value, most);
    } catch (Refused refused) {
      problems.add(new Problem(refused.code(), place, refused.sentence()));
      return "";
    }
  }
}
