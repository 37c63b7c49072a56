package org.opentrellis.core.reading;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Way;
import org.opentrellis.core.problem.Refused;

/**
 * A journey written down as indented sentences, with the reasons for them.
 *
 * <p>The first line names purpose and journey: {@code welcome: Somebody asked for something}. Every
 * other line is a sentence as the run sheet reads it; lines about the journey stand anywhere. Below
 * a branch or split its arms follow in order, each two spaces further in and ending with a colon,
 * with their steps two spaces further in again. A line that begins with {@code #} gives the reason
 * for the one above.
 *
 * @param messages that it sends, in order; plain ones with their names as subjects
 * @param reasons by step or line of the journey
 */
public record Plan(
    String name,
    Purpose purpose,
    Journey journey,
    List<Message> messages,
    Map<String, String> reasons) {

  /**
   * Reads a plan.
   *
   * @throws Refused that names the line which is not understood, and why
   */
  public static Plan read(String text) {
    return new Writer(text.lines().toList()).plan();
  }

  /** Writes sentence after sentence into a journey. */
  private static final class Writer {
    private final List<String> lines;
    private final List<Message> messages = new ArrayList<>();
    private final Map<String, String> reasons = new LinkedHashMap<>();

    /** By indent, the row that the next step comes below. */
    private final Map<Integer, String> below = new HashMap<>();

    /** By indent, the last step, and how many of its arms have been begun. */
    private final Map<Integer, StepId> last = new HashMap<>();

    private final Map<Integer, Integer> arms = new HashMap<>();
    private Journey journey;
    private String row = "";

    Writer(List<String> lines) {
      this.lines = lines;
      String[] title = lines.get(0).split(":", 2);
      Purpose purpose =
          Purpose.valueOf(title[0].strip().toUpperCase(Locale.ROOT).replace('-', '_'));
      journey = Journey.empty(title[1].strip(), purpose);
      below.put(0, "journey");
    }

    Plan plan() {
      for (int i = 1; i < lines.size(); i++) {
        String line = lines.get(i);
        String said = line.strip();
        int indent = (line.length() - line.stripLeading().length()) / 2;
        if (said.startsWith("#")) {
          reasons.merge(row, said.substring(1).strip(), (one, more) -> one + " " + more);
        } else if (said.endsWith(":")) {
          arm(indent);
        } else if (!said.isEmpty()) {
          sentence(said, indent, i + 1);
        }
      }
      return new Plan(
          journey.name(), journey.purpose(), journey, List.copyOf(messages), Map.copyOf(reasons));
    }

    private void arm(int indent) {
      Step fork = step(last.get(indent - 1).value()).orElseThrow();
      Way way = fork.ways().get(arms.merge(indent - 1, 1, Integer::sum) - 1);
      below.put(indent + 1, way.id().value());
      row = way.id().value();
    }

    private void sentence(String said, int indent, int number) {
      String at = below.getOrDefault(indent, "journey");
      Reading.Understood understood =
          switch (reader().add(at, said, said.length()).result()) {
            case Reading.Understood one -> one;
            case Reading.Refused refused ->
                throw new Refused(
                    "line %d, \u201c%s\u201d: %s".formatted(number, said, refused.why()));
          };
      journey = understood.journey();
      messages.addAll(understood.written());
      row = understood.selected();
      if (step(row).isPresent()) {
        below.put(indent, row);
        last.put(indent, new StepId(row));
        arms.put(indent, 0);
      }
    }

    private Optional<Step> step(String id) {
      return journey.steps().filter(one -> one.id().value().equals(id)).findFirst();
    }

    private Reader reader() {
      Catalogue catalogue = Catalogue.of(messages);
      return new Reader(
          journey,
          catalogue,
          List.of(),
          KnownNames.in(List.of(journey, catalogue)),
          LocalDate.EPOCH);
    }
  }
}
