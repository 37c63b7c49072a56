package org.opentrellis.core.compare;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.measure.StepMeasures;

/** What stands in one row: which of one run's messages goes beside which of another's. */
public enum LineUp {
  /** The first beside the first, and so on, in the order in which people get them. */
  EMAIL_ORDER {
    @Override
    Map<String, List<@Nullable StepMeasures>> rows(List<ComparedJourney> sides) {
      return merged(sides, (side, step, n) -> nth(n));
    }
  },
  /** Those that most people get on the same day since they entered. */
  DAYS {
    @Override
    Map<String, List<@Nullable StepMeasures>> rows(List<ComparedJourney> sides) {
      Map<String, List<@Nullable StepMeasures>> rows = merged(sides, (side, step, n) -> day(step));
      Map<String, List<@Nullable StepMeasures>> inOrder =
          new TreeMap<>(java.util.Comparator.comparingDouble(LineUp::dayOf).thenComparing(s -> s));
      inOrder.putAll(rows);
      return inOrder;
    }
  },
  /** Those that send the same message. */
  MESSAGE {
    @Override
    Map<String, List<@Nullable StepMeasures>> rows(List<ComparedJourney> sides) {
      return merged(sides, (side, step, n) -> message(side, step));
    }
  },
  /** Those of the same step, in versions of one journey. */
  STEPS {
    @Override
    Map<String, List<@Nullable StepMeasures>> rows(List<ComparedJourney> sides) {
      Map<String, String> labels = new HashMap<>();
      Map<String, List<@Nullable StepMeasures>> rows =
          merged(
              sides,
              (side, step, n) -> {
                String id = step.id();
                labels.putIfAbsent(id, side.nameOf(id));
                return id;
              });
      Map<String, List<@Nullable StepMeasures>> labelled = new LinkedHashMap<>();
      rows.forEach(
          (key, row) -> {
            String id = key.split(AGAIN)[0];
            String label = labels.getOrDefault(id, id);
            labelled.put(labelled.containsKey(label) ? label + " (" + id + ")" : label, row);
          });
      return labelled;
    }
  };

  /** By message where at least half of what each sends has its like in the first, else in order. */
  public static LineUp usual(List<ComparedJourney> sides) {
    List<Set<String>> sent = sides.stream().map(LineUp::messages).toList();
    return sent.stream().skip(1).allMatch(other -> alike(sent.get(0), other))
        ? MESSAGE
        : EMAIL_ORDER;
  }

  private static boolean alike(Set<String> first, Set<String> other) {
    long both = other.stream().filter(first::contains).count();
    return both > 0 && 2 * both >= Math.min(first.size(), other.size());
  }

  private static Set<String> messages(ComparedJourney side) {
    return side.messages().stream().map(step -> message(side, step)).collect(Collectors.toSet());
  }

  private static final String AGAIN = " \u00b7 ";

  /** The rows by their labels, in order; a run that has nothing there has null. */
  abstract Map<String, List<@Nullable StepMeasures>> rows(List<ComparedJourney> sides);

  private interface Key {
    String of(ComparedJourney side, StepMeasures step, int number);
  }

  /** Where a run has a key more than once, its second goes into a row of its own. */
  private static Map<String, List<@Nullable StepMeasures>> merged(
      List<ComparedJourney> sides, Key key) {
    Map<String, List<@Nullable StepMeasures>> rows = new LinkedHashMap<>();
    for (int i = 0; i < sides.size(); i++) {
      Map<String, Integer> seen = new HashMap<>();
      int number = 0;
      for (StepMeasures step : sides.get(i).messages()) {
        String base = key.of(sides.get(i), step, number++);
        int times = seen.merge(base, 1, Integer::sum);
        String name = times == 1 ? base : base + AGAIN + times;
        rows.computeIfAbsent(name, one -> empty(sides.size())).set(i, step);
      }
    }
    return rows;
  }

  private static List<@Nullable StepMeasures> empty(int size) {
    List<@Nullable StepMeasures> row = new ArrayList<>();
    for (int i = 0; i < size; i++) {
      row.add(null);
    }
    return row;
  }

  private static String nth(int number) {
    int n = number + 1;
    String ending = "th";
    if (n % 100 < 11 || n % 100 > 13) {
      ending = n % 10 == 1 ? "st" : n % 10 == 2 ? "nd" : n % 10 == 3 ? "rd" : "th";
    }
    return n + ending;
  }

  private static String day(StepMeasures step) {
    return step.arrival() == null ? "never" : "day " + step.arrival().day();
  }

  private static double dayOf(String label) {
    String[] words = label.split(" ");
    return words.length < 2 || !words[0].equals("day")
        ? Double.POSITIVE_INFINITY
        : Double.parseDouble(words[1]);
  }

  private static String message(ComparedJourney side, StepMeasures step) {
    return side.journey().sends().stream()
        .filter(send -> send.id().value().equals(step.id()))
        .map(Step.Send::message)
        .findFirst()
        .flatMap(id -> side.run().world().catalogue().message(id))
        .map(message -> message.name())
        .orElse(step.id());
  }
}
