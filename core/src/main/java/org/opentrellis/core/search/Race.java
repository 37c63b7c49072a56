package org.opentrellis.core.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.random.Draws;
import org.opentrellis.core.stats.PairedMeans;

/**
 * Tries variations of a plan on the same people: all of them if they are few, else by halves, and
 * around the best at the end. Says of each what became of it.
 */
final class Race {
  /** In standard errors, as far as a search tells: what is shown is judged on other people. */
  private static final double CLEARLY = 1.96;

  private final SearchPlan search;
  private final Space space;
  private final Runner runner;
  private final Schedule schedule;
  private final SearchWatch watch;
  private final Map<Variation, Trial> tried = new LinkedHashMap<>();
  private final Map<Journey, Variation> journeys = new HashMap<>();
  private final Trial today;
  private long impossible;

  Race(SearchPlan search, Space space, Runner runner, SearchWatch watch) {
    this.search = search;
    this.space = space;
    this.runner = runner;
    this.schedule = Schedule.of(space.size(), search.people());
    this.watch = watch;
    this.today = enter(space.today()).orElseThrow();
  }

  /** Everything that was tried, today's journey first, then in the order of trying. */
  List<Trial> run() {
    List<Trial> field = new ArrayList<>(List.of(today));
    (schedule.all() ? space.all() : sample())
        .forEach(variation -> enter(variation).ifPresent(field::add));
    for (int round = 0; round < schedule.people().size(); round++) {
      int people = schedule.people().get(round);
      take(field, people);
      tellBest(field);
      if (round + 1 < schedule.people().size() && !watch.enough()) {
        halve(field, people);
        Trial best = best(field);
        space.neighbours(best.variation).stream()
            .map(this::enter)
            .flatMap(Optional::stream)
            .limit(Schedule.NEWCOMERS)
            .forEach(field::add);
      }
    }
    if (!schedule.all()) {
      lookAround(field);
    }
    levelWithOthers(field);
    return tried.values().stream().filter(Trial::isScored).toList();
  }

  /** A search that was cut short may have taken today's journey further than the others. */
  private void levelWithOthers(List<Trial> field) {
    field.stream()
        .filter(trial -> trial != today && trial.isScored())
        .mapToInt(Trial::people)
        .max()
        .ifPresent(
            people -> {
              if (people != today.people()) {
                today.scored(score(today, people));
              }
            });
  }

  Trial today() {
    return today;
  }

  /** How many combinations asked about an email that they had left out, or moved away. */
  long impossible() {
    return impossible;
  }

  /** A variation that is new, possible, and leads to a journey that is new. */
  private Optional<Trial> enter(Variation variation) {
    if (tried.containsKey(variation)) {
      return Optional.empty();
    }
    Optional<Trial> trial = space.at(variation).map(plan -> new Trial(variation, plan));
    if (trial.isEmpty()) {
      impossible++;
      return Optional.empty();
    }
    if (journeys.putIfAbsent(trial.get().plan.journey(), variation) != null) {
      return Optional.empty();
    }
    tried.put(variation, trial.get());
    return trial;
  }

  /** Each single change, and combinations by lot. */
  private List<Variation> sample() {
    Set<Variation> some = new LinkedHashSet<>();
    space.singles().stream().limit(schedule.begin() / 2).forEach(some::add);
    long key = Draws.runKey(search.plan().settings().seed() ^ 0x5ea7c4L);
    for (long n = 0; some.size() < schedule.begin() && n < 20L * schedule.begin(); n++) {
      some.add(drawn(Draws.bits(key, n)));
    }
    return List.copyOf(some);
  }

  private Variation drawn(long key) {
    Variation variation = space.today();
    for (int at = 0; at < space.factors().size(); at++) {
      int levels = space.factors().get(at).levels().size();
      variation = variation.with(at, (int) (Draws.uniform(key, at + 1L) * levels));
    }
    return variation;
  }

  /**
   * Sends as many people through each, in parallel; those who went through already do so again.
   * Today's journey is first, so that what others do can be told against it at once.
   */
  private void take(List<Trial> field, int people) {
    boolean first = !today.isScored();
    if (field.contains(today) && (first || today.people() < people && !watch.enough())) {
      today.scored(score(today, people));
    }
    runner.each(
        field.stream().filter(trial -> !trial.isScored() || trial.people() < people).toList(),
        trial -> {
          if (!watch.enough()) {
            trial.scored(score(trial, people));
            if (first) {
              tellBest(field);
            }
          }
          return trial;
        });
  }

  private Scores score(Trial trial, int people) {
    return Scores.of(
        trial.plan.with(trial.plan.settings().withPeople(people)),
        search.wanted(),
        search.planned(),
        runner,
        watch);
  }

  private synchronized void tellBest(List<Trial> field) {
    Trial best = best(field);
    watch.best(
        new SearchWatch.Best(
            (int) tried.values().stream().filter(Trial::isScored).count(),
            best.people(),
            space.words(best.variation),
            best == today || best.people() != today.people()
                ? null
                : best.scores().wantedAgainst(today.scores(), search.wanted())));
  }

  /** What it does not keep to, on the people so far; null if it keeps to all. */
  @Nullable String broken(Trial trial) {
    Optional<String> limit = search.limits().brokenBy(trial.scores().figures());
    if (limit.isPresent()) {
      return limit.get();
    }
    if (search.wanted().what() == Wanted.What.FEWER_EMAILS
        && trial != today
        && trial.people() == today.people()) {
      double lost = share(today) - share(trial);
      if (lost > search.wanted().mayLose() / 2) {
        return String.format(
            Locale.ROOT,
            "the goal falls by %.1f points with %,d people",
            100 * lost,
            trial.people());
      }
    }
    return null;
  }

  private static double share(Trial trial) {
    Double met = trial.scores().figures().goal().value();
    return met == null ? 0 : met;
  }

  /** How many, besides today's journey, did not keep to what was asked. */
  int out() {
    return (int)
        tried.values().stream()
            .filter(trial -> trial != today && trial.isScored() && broken(trial) != null)
            .count();
  }

  /** Those that keep to the limits first, then by what is wanted, then the simpler. */
  Comparator<Trial> betterFirst() {
    return Comparator.comparing((Trial trial) -> broken(trial) != null)
        .thenComparing(
            Comparator.comparingDouble((Trial trial) -> trial.scores().value()).reversed())
        .thenComparing(trial -> space.changes(trial.variation));
  }

  private Trial best(List<Trial> field) {
    int most = field.stream().filter(Trial::isScored).mapToInt(Trial::people).max().orElseThrow();
    return field.stream()
        .filter(trial -> trial.isScored() && trial.people() == most)
        .min(betterFirst())
        .orElseThrow();
  }

  /** The worse half leaves; today's journey stays, to be compared with. */
  private void halve(List<Trial> field, int people) {
    List<Trial> order =
        field.stream().filter(trial -> trial != today).sorted(betterFirst()).toList();
    if (order.isEmpty()) {
      return;
    }
    Set<Trial> stay = order.stream().limit(Schedule.stay(order.size())).collect(Collectors.toSet());
    Trial leader = order.get(0);
    for (Trial trial : order) {
      if (!stay.contains(trial)) {
        trial.drop(behind(trial, leader, people));
      }
    }
    field.removeIf(trial -> trial.dropped() != null);
  }

  private String behind(Trial trial, Trial leader, int people) {
    String broken = broken(trial);
    if (broken != null) {
      return "Out: " + broken + ".";
    }
    Gain behind = leader.scores().wantedAgainst(trial.scores(), search.wanted());
    return behind.points() == 0
        ? "Dropped with %,d people: no better than the best then.".formatted(people)
        : "Dropped with %,d people: %s behind the best then."
            .formatted(people, SearchWords.size(behind, search.wanted()));
  }

  /** From the best to the best beside it, until none is better. */
  private void lookAround(List<Trial> field) {
    int left = Schedule.AROUND_THE_BEST;
    Trial best = best(field);
    while (left > 0 && !watch.enough()) {
      List<Trial> near =
          space.neighbours(best.variation).stream()
              .map(this::enter)
              .flatMap(Optional::stream)
              .limit(left)
              .toList();
      take(near, search.people());
      field.addAll(near);
      left -= near.size();
      tellBest(field);
      Trial next = best(field);
      if (near.isEmpty() || next == best) {
        return;
      }
      best = next;
    }
  }

  /**
   * The best ones that are better than today's journey as far as these people tell, at most so
   * many. Where a simpler one is not clearly worse, it stands in for the other.
   */
  List<Trial> finalists(int most) {
    List<Trial> chosen = new ArrayList<>();
    for (Trial trial : whole().sorted(betterFirst()).toList()) {
      Trial simple = simplest(trial);
      boolean better =
          simple != today
              && broken(simple) == null
              && simple.scores().against(today.scores()).difference() > 0;
      boolean another = chosen.stream().noneMatch(one -> one.scores().sameAs(simple.scores()));
      if (better && another && chosen.size() < most) {
        chosen.add(simple);
      }
    }
    return chosen;
  }

  /** Those whom everybody has gone through. */
  private Stream<Trial> whole() {
    return tried.values().stream()
        .filter(trial -> trial.isScored() && trial.people() == today.people());
  }

  /**
   * What stands in for a variation: the simplest than which it is not clearly better, or itself.
   */
  Trial simplest(Trial trial) {
    return whole()
        .filter(one -> space.simpler(one.variation, trial.variation) && broken(one) == null)
        .filter(one -> !clearlyBetter(trial, one))
        .min(
            Comparator.comparingInt((Trial one) -> space.changes(one.variation))
                .thenComparing(betterFirst()))
        .orElse(trial);
  }

  private static boolean clearlyBetter(Trial one, Trial other) {
    PairedMeans difference = one.scores().against(other.scores());
    return difference.z() > CLEARLY;
  }
}
