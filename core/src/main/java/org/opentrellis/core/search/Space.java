package org.opentrellis.core.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.opentrellis.core.arrange.Unanswerable;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.vary.VariedRun;

/** All variations of a plan: every choice of a level for each of its factors. */
final class Space {
  /** What may vary together at most. */
  static final int MOST_FACTORS = 30;

  private final VariedRun plan;
  private final List<Factor> factors;

  private Space(VariedRun plan, List<Factor> factors) {
    this.plan = plan;
    this.factors = factors;
  }

  /**
   * Steps that are left out go first, so that nothing is changed about them.
   *
   * @throws Refused if something cannot vary so, or varies twice
   */
  static Space of(VariedRun plan, List<Leeway> leeways) {
    Factors all = new Factors(plan);
    List<Factor> factors =
        leeways.stream()
            .sorted(Comparator.comparing(one -> !(one instanceof Leeway.Absence)))
            .map(all::of)
            .filter(Factor::varies)
            .toList();
    Set<String> seen = new HashSet<>();
    for (Factor factor : factors) {
      if (!seen.add(factor.id())) {
        throw new Refused("%s is to vary twice".formatted(factor.subject()));
      }
    }
    if (factors.size() > MOST_FACTORS) {
      throw new Refused(
          "at most %d things vary together, not %d".formatted(MOST_FACTORS, factors.size()));
    }
    return new Space(plan, factors);
  }

  List<Factor> factors() {
    return factors;
  }

  /** How many variations there are, today's among them; the largest long if there are more. */
  long size() {
    double size =
        factors.stream().mapToDouble(factor -> factor.levels().size()).reduce(1, (a, b) -> a * b);
    return size >= Long.MAX_VALUE ? Long.MAX_VALUE : (long) size;
  }

  Variation today() {
    return new Variation(factors.stream().map(Factor::today).toList());
  }

  /** Every variation, if there are not too many to list. */
  List<Variation> all() {
    List<List<Integer>> all = new ArrayList<>(List.of(List.of()));
    for (Factor factor : factors) {
      List<List<Integer>> longer = new ArrayList<>();
      for (List<Integer> begun : all) {
        for (int level = 0; level < factor.levels().size(); level++) {
          List<Integer> next = new ArrayList<>(begun);
          next.add(level);
          longer.add(next);
        }
      }
      all = longer;
    }
    return all.stream().map(Variation::new).toList();
  }

  /** Those that differ in one factor: by one level either way, or by being as it is today. */
  List<Variation> neighbours(Variation of) {
    List<Variation> near = new ArrayList<>();
    for (int at = 0; at < factors.size(); at++) {
      int level = of.levels().get(at);
      for (int other : new int[] {level - 1, level + 1, factors.get(at).today()}) {
        if (other != level && other >= 0 && other < factors.get(at).levels().size()) {
          near.add(of.with(at, other));
        }
      }
    }
    return near.stream().distinct().toList();
  }

  /** Those that differ from today in one factor alone. */
  List<Variation> singles() {
    List<Variation> singles = new ArrayList<>();
    for (int at = 0; at < factors.size(); at++) {
      for (int level = 0; level < factors.get(at).levels().size(); level++) {
        if (level != factors.get(at).today()) {
          singles.add(today().with(at, level));
        }
      }
    }
    return singles;
  }

  /**
   * The plan with a variation's changes.
   *
   * @return empty if a question would be left without its email
   */
  Optional<VariedRun> at(Variation variation) {
    VariedRun varied = plan;
    for (int at = 0; at < factors.size(); at++) {
      Factor factor = factors.get(at);
      if (variation.levels().get(at) != factor.today()) {
        varied = factor.levels().get(variation.levels().get(at)).change().apply(varied);
      }
    }
    return Unanswerable.newIn(varied.journey(), plan.journey(), plan.catalogue()).isPresent()
        ? Optional.empty()
        : Optional.of(varied);
  }

  /** What a variation does otherwise than today, each as a sentence without its full stop. */
  List<String> words(Variation variation) {
    List<String> words = new ArrayList<>();
    for (int at = 0; at < factors.size(); at++) {
      if (variation.levels().get(at) != factors.get(at).today()) {
        words.add(factors.get(at).levels().get(variation.levels().get(at)).words());
      }
    }
    return words;
  }

  /** How many factors are not as today. */
  int changes(Variation variation) {
    return words(variation).size();
  }

  /** Whether one changes nothing but what another does, too, and less. */
  boolean simpler(Variation one, Variation other) {
    boolean less = false;
    for (int at = 0; at < factors.size(); at++) {
      int level = one.levels().get(at);
      if (level != other.levels().get(at)) {
        if (level != factors.get(at).today()) {
          return false;
        }
        less = true;
      }
    }
    return less;
  }

  /**
   * @throws Refused if nothing of the kind varies here
   */
  Variation with(Variation variation, Setting setting) {
    for (int at = 0; at < factors.size(); at++) {
      for (int level = 0; level < factors.get(at).levels().size(); level++) {
        if (factors.get(at).id().equals(setting.factor())
            && factors.get(at).levels().get(level).key().equals(setting.level())) {
          return variation.with(at, level);
        }
      }
    }
    if (factors.stream().noneMatch(one -> one.id().equals(setting.factor()))) {
      // Nothing of it varies any more, because the journey says so already.
      return variation;
    }
    throw new Refused("%s cannot be set to %s".formatted(setting.factor(), setting.level()));
  }

  /** What a variation sets, so that it can be set in another state of the journey. */
  List<Setting> settings(Variation variation) {
    List<Setting> settings = new ArrayList<>();
    for (int at = 0; at < factors.size(); at++) {
      if (variation.levels().get(at) != factors.get(at).today()) {
        Factor factor = factors.get(at);
        settings.add(
            new Setting(factor.id(), factor.levels().get(variation.levels().get(at)).key()));
      }
    }
    return settings;
  }
}
