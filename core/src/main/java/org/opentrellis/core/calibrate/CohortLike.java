package org.opentrellis.core.calibrate;

import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.opentrellis.core.behaviour.Assumed;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.behaviour.FieldGuess;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.behaviour.Measured;
import org.opentrellis.core.behaviour.TypicalBehaviour;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.stats.Confidence;
import org.opentrellis.core.stats.Interval;
import org.opentrellis.core.stats.Proportion;
import org.opentrellis.core.stats.Wilson;

/**
 * A cohort whose people are like real ones: those who live in one zone and have the same lists and
 * tags are a group, the largest ones each by themselves, all others together. What stands in their
 * fields, how many addresses are dead and who agreed to texts is as found; how they behave is not
 * known from that, and stays typical.
 */
public final class CohortLike {
  /** So many groups stand by themselves at most. */
  public static final int MOST_GROUPS = 9;

  /** So many values of a field are told apart at most; more are as many parts of equal size. */
  private static final int VALUES = 20;

  private static final int LONGEST_NAME = 80;

  private CohortLike() {}

  /**
   * Somebody as far as a cohort knows people.
   *
   * @param labels tags and lists
   * @param dead whether the address bounced for good
   * @param texts whether they agreed to texts
   */
  public record Somebody(
      ZoneId zone, Set<Name> labels, Map<FieldName, Operand> fields, boolean dead, boolean texts) {}

  private record Sort(ZoneId zone, Set<Name> labels) {}

  /**
   * @param some those that are looked at, at least one
   * @param people how many the cohort has
   * @param today from which dates are counted
   */
  public static CohortPlan of(List<Somebody> some, int people, LocalDate today) {
    Map<Sort, List<Somebody>> sorts = new LinkedHashMap<>();
    some.forEach(
        one ->
            sorts
                .computeIfAbsent(new Sort(one.zone(), one.labels()), none -> new ArrayList<>())
                .add(one));
    List<Map.Entry<Sort, List<Somebody>>> largest =
        sorts.entrySet().stream()
            .sorted(
                Comparator.<Map.Entry<Sort, List<Somebody>>>comparingInt(
                        entry -> -entry.getValue().size())
                    .thenComparing(entry -> name(entry.getKey())))
            .toList();
    int alone = largest.size() <= MOST_GROUPS + 1 ? largest.size() : MOST_GROUPS;
    List<AudienceGroup> groups = new ArrayList<>();
    largest.subList(0, alone).forEach(sort -> groups.add(group(sort, some.size(), today)));
    List<Somebody> others =
        largest.subList(alone, largest.size()).stream()
            .flatMap(entry -> entry.getValue().stream())
            .toList();
    if (!others.isEmpty()) {
      groups.add(others(others, some.size(), today));
    }
    return CohortPlan.of(people, groups);
  }

  private static AudienceGroup group(
      Map.Entry<Sort, List<Somebody>> sort, int all, LocalDate today) {
    return group(name(sort.getKey()), sort.getKey(), sort.getValue(), all, today);
  }

  /** What most of them have, they all have; they live where most of them do. */
  private static AudienceGroup others(List<Somebody> others, int all, LocalDate today) {
    Map<Name, Long> carried =
        others.stream()
            .flatMap(one -> one.labels().stream())
            .collect(Collectors.groupingBy(Function.identity(), Collectors.counting()));
    Set<Name> most = new HashSet<>(carried.keySet());
    most.removeIf(label -> carried.getOrDefault(label, 0L) * 2 <= others.size());
    String zone =
        others.stream()
            .collect(
                Collectors.groupingBy(
                    one -> one.zone().getId(), TreeMap::new, Collectors.counting()))
            .entrySet()
            .stream()
            .max(Map.Entry.comparingByValue())
            .orElseThrow()
            .getKey();
    return group("Others", new Sort(ZoneId.of(zone), most), others, all, today);
  }

  private static AudienceGroup group(
      String name, Sort sort, List<Somebody> people, int all, LocalDate today) {
    return TypicalBehaviour.group(
            name, (double) people.size() / all, typicalKeenness(), sort.zone())
        .edit()
        .tags(only(sort.labels(), TagName.class))
        .lists(only(sort.labels(), ListName.class))
        .fields(fields(people, today))
        .hardBounce(share(people, Somebody::dead))
        .textConsent(share(people, Somebody::texts))
        .done();
  }

  private static Keenness typicalKeenness() {
    return TypicalBehaviour.in(ZoneId.of("UTC")).groups().get(0).keenness();
  }

  private static <N extends Name> Set<N> only(Set<Name> labels, Class<N> kind) {
    return labels.stream().filter(kind::isInstance).map(kind::cast).collect(Collectors.toSet());
  }

  private static Assumed share(List<Somebody> people, Predicate<Somebody> what) {
    Proportion proportion = new Proportion(people.stream().filter(what).count(), people.size());
    Interval interval = Wilson.interval(proportion, Confidence.NINETY_FIVE);
    return Assumed.measured(
        (double) proportion.count() / proportion.of(),
        new Measured(people.size(), interval.low(), interval.high()));
  }

  private static String name(Sort sort) {
    String labels =
        Set.copyOf(sort.labels()).stream()
            .map(Name::value)
            .sorted()
            .collect(Collectors.joining(", "));
    String name =
        "%s · %s".formatted(labels.isEmpty() ? "No list or tag" : labels, sort.zone().getId());
    return name.length() <= LONGEST_NAME ? name : name.substring(0, LONGEST_NAME - 1) + "…";
  }

  private static Map<FieldName, FieldGuess> fields(List<Somebody> people, LocalDate today) {
    Map<FieldName, List<Operand>> held = new HashMap<>();
    people.forEach(
        one ->
            one.fields()
                .forEach(
                    (field, value) ->
                        held.computeIfAbsent(field, none -> new ArrayList<>()).add(value)));
    Map<FieldName, FieldGuess> guesses = new HashMap<>();
    held.forEach((field, values) -> guesses.put(field, guess(values, people.size(), today)));
    return guesses;
  }

  private static FieldGuess guess(List<Operand> values, int people, LocalDate today) {
    Map<Operand, Long> counts =
        values.stream()
            .collect(
                Collectors.groupingBy(
                    Function.identity(), LinkedHashMap::new, Collectors.counting()));
    if (counts.size() <= VALUES || values.getFirst() instanceof Operand.Words) {
      return oneOf(counts, people);
    }
    List<Operand> sorted =
        values.stream().sorted(Comparator.comparingDouble(CohortLike::size)).toList();
    if (values.size() == people && isNear(sorted, today)) {
      return between(sorted, today);
    }
    // Some have none: the others in parts of equal size, each with the value in its middle.
    List<FieldGuess.Choice> parts = new ArrayList<>();
    for (int i = 0; i < VALUES; i++) {
      Operand middle = sorted.get((int) ((i + 0.5) * sorted.size() / VALUES));
      parts.add(new FieldGuess.Choice(middle, (double) values.size() / people / VALUES));
    }
    return new FieldGuess.OneOf(parts);
  }

  private static FieldGuess oneOf(Map<Operand, Long> counts, int people) {
    return new FieldGuess.OneOf(
        counts.entrySet().stream()
            .sorted(Map.Entry.<Operand, Long>comparingByValue().reversed())
            .limit(VALUES)
            .map(entry -> new FieldGuess.Choice(entry.getKey(), (double) entry.getValue() / people))
            .toList());
  }

  /** Whether a cohort can count from its start to all of them. */
  private static boolean isNear(List<Operand> sorted, LocalDate today) {
    double start = today.toEpochDay();
    return !(sorted.getFirst() instanceof Operand.Date)
        || size(sorted.getFirst()) >= start - FieldGuess.DateBetween.MOST_DAYS_BEFORE
            && size(sorted.getLast()) <= start + FieldGuess.DateBetween.MOST_DAYS_AFTER;
  }

  private static FieldGuess between(List<Operand> sorted, LocalDate today) {
    Operand first = sorted.getFirst();
    Operand last = sorted.getLast();
    if (first instanceof Operand.Date from && last instanceof Operand.Date to) {
      return new FieldGuess.DateBetween(
          (int) ChronoUnit.DAYS.between(today, from.date()),
          (int) ChronoUnit.DAYS.between(today, to.date()));
    }
    return new FieldGuess.NumberBetween(size(first), size(last));
  }

  private static double size(Operand value) {
    return switch (value) {
      case Operand.Number number -> number.number();
      case Operand.Date date -> date.date().toEpochDay();
      case Operand.Words words -> 0;
      case Operand.Today never -> throw new IllegalStateException("a record has dates");
      case Operand.OtherField never -> throw new IllegalStateException("a record has values");
    };
  }
}
