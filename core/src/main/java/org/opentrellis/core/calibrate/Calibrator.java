package org.opentrellis.core.calibrate;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.opentrellis.core.behaviour.Attention;
import org.opentrellis.core.stats.Confidence;
import org.opentrellis.core.stats.Interval;
import org.opentrellis.core.stats.Newcombe;
import org.opentrellis.core.stats.Proportion;
import org.opentrellis.core.stats.Wilson;

/**
 * Fits the model's values to a history.
 *
 * <p>Whoever's mail program opens by itself is known by this: every message that reached them was
 * recorded as open within five minutes. Their opens say nothing of keenness and are left out.
 */
public final class Calibrator {
  /** A mail program that loads images by itself does so within this time, in the model too. */
  private static final double PRELOAD_SECONDS = 301;

  private static final int FEWEST_OPENS_FOR_A_PROFILE = 2_000;
  private static final double MONTH = 30 * 86_400.0;

  private final List<SendRecord> all;
  private final Instant until;

  private Calibrator(List<SendRecord> all, Instant until) {
    this.all = all;
    this.until = until;
  }

  /**
   * @param history what became of each message
   * @param until when it was looked at; what happens later could not be seen
   * @throws IllegalArgumentException if there is too little to fit anything to
   */
  public static Calibration fit(List<SendRecord> history, Instant until) {
    return new Calibrator(history, until).fit();
  }

  private Calibration fit() {
    Map<String, List<SendRecord>> byPerson =
        all.stream()
            .collect(
                Collectors.groupingBy(SendRecord::person, LinkedHashMap::new, Collectors.toList()));
    List<SendRecord> arrived = all.stream().filter(r -> r.delivered().isPresent()).toList();
    Map<String, Boolean> preloads = new HashMap<>();
    byPerson.forEach((person, records) -> preloads.put(person, preloads(records)));
    List<SendRecord> readers =
        arrived.stream().filter(record -> !preloads.get(record.person())).toList();
    List<SendRecord> opened = readers.stream().filter(r -> r.opened().isPresent()).toList();
    if (opened.size() < 20) {
      throw new IllegalArgumentException(
          "a calibration needs at least 20 opens by people, not " + opened.size());
    }
    Delays delays = delays(opened);
    List<String> messages = arrived.stream().map(SendRecord::message).distinct().sorted().toList();
    KeennessFit keenness = keenness(readers, messages, delays.fit);
    Map<String, Calibration.OfMessage> each = new TreeMap<>();
    for (String message : messages) {
      each.put(message, ofMessage(message, opened, keenness));
    }
    long machine = preloads.values().stream().filter(yes -> yes).count();
    return new Calibration(
        byPerson.size(),
        all.size(),
        keenness.mean(),
        keenness.spread(),
        share(machine, byPerson.size()),
        share(all.size() - (long) arrived.size(), all.size()),
        delays.fit.medianHours(),
        delays.fit.sigma(),
        delays.attention.map(AttentionFit::hours),
        buyAfterClick(opened),
        buysAnyway(byPerson),
        each);
  }

  private static boolean preloads(List<SendRecord> records) {
    List<SendRecord> arrived = records.stream().filter(r -> r.delivered().isPresent()).toList();
    return !arrived.isEmpty()
        && arrived.stream()
            .allMatch(
                r -> r.opened().isPresent() && r.secondsTo(r.opened().get()) <= PRELOAD_SECONDS);
  }

  /**
   * @param attention empty where there are too few opens for a profile, or it could be chance
   */
  private record Delays(OpenDelay fit, Optional<AttentionFit> attention) {}

  /** Delay and profile in turn: each is fitted as the other says. */
  private Delays delays(List<SendRecord> opened) {
    OpenDelay fit = OpenDelay.fit(seen(opened, null));
    long[] sent = byHour(opened, SendRecord::sent);
    long[] read = byHour(opened, record -> record.opened().orElseThrow());
    if (opened.size() < FEWEST_OPENS_FOR_A_PROFILE
        || !AttentionFit.differsFromFlat(sent, read, fit)) {
      return new Delays(fit, Optional.empty());
    }
    AttentionFit attention = AttentionFit.fit(sent, read, fit);
    for (int round = 0; round < 4; round++) {
      fit = OpenDelay.fit(seen(opened, new AttentionLag(attention.attention())));
      attention = AttentionFit.fit(sent, read, fit);
    }
    return new Delays(fit, Optional.of(attention));
  }

  private List<OpenDelay.Seen> seen(
      List<SendRecord> opened, @org.jspecify.annotations.Nullable AttentionLag lag) {
    List<OpenDelay.Seen> seen = new ArrayList<>();
    for (SendRecord record : opened) {
      Instant at = record.opened().orElseThrow();
      if (lag == null) {
        seen.add(new OpenDelay.Seen(record.secondsTo(at), record.secondsTo(until)));
      } else {
        seen.add(
            new OpenDelay.Seen(
                lag.between(record.sent(), at, record.zone()),
                lag.between(record.sent(), until, record.zone())));
      }
    }
    return seen;
  }

  private static long[] byHour(
      List<SendRecord> records, java.util.function.Function<SendRecord, Instant> moment) {
    long[] counts = new long[Attention.WEEK];
    for (SendRecord record : records) {
      var local = moment.apply(record).atZone(record.zone());
      counts[(local.getDayOfWeek().getValue() - 1) * 24 + local.getHour()]++;
    }
    return counts;
  }

  private KeennessFit keenness(List<SendRecord> readers, List<String> messages, OpenDelay delay) {
    Map<String, Integer> number = KeennessFit.numbers(messages);
    Map<String, KeennessFit.Answers> answers = new LinkedHashMap<>();
    for (SendRecord record : readers) {
      KeennessFit.Answers one =
          answers.computeIfAbsent(
              record.person(),
              person ->
                  new KeennessFit.Answers(
                      new Boolean[messages.size()], new double[messages.size()]));
      int message = number.get(record.message());
      one.opened()[message] = record.opened().isPresent();
      one.seen()[message] = delay.within(record.secondsTo(until));
    }
    Map<String, Long> counts =
        readers.stream().collect(Collectors.groupingBy(SendRecord::message, Collectors.counting()));
    String usual =
        messages.stream().max(Comparator.comparing(m -> counts.getOrDefault(m, 0L))).orElseThrow();
    return KeennessFit.fit(List.copyOf(answers.values()), messages, number.get(usual));
  }

  private static Calibration.OfMessage ofMessage(
      String message, List<SendRecord> opened, KeennessFit keenness) {
    List<SendRecord> of = opened.stream().filter(r -> r.message().equals(message)).toList();
    long clicks = of.stream().filter(r -> r.clicked().isPresent()).count();
    long leavers = of.stream().filter(r -> r.unsubscribed().isPresent()).count();
    return new Calibration.OfMessage(
        keenness.pulls().get(message), share(clicks, of.size()), share(leavers, of.size()));
  }

  /** Of those who clicked, who bought; less those who would have anyway, as non-clickers show. */
  private static Estimate buyAfterClick(List<SendRecord> opened) {
    long clickers = opened.stream().filter(r -> r.clicked().isPresent()).count();
    long buyers =
        opened.stream()
            .filter(r -> r.clicked().isPresent() && r.bought().isPresent())
            .filter(r -> !r.bought().get().isBefore(r.clicked().get()))
            .count();
    long others = opened.size() - clickers;
    long anyway =
        opened.stream().filter(r -> r.clicked().isEmpty() && r.bought().isPresent()).count();
    if (clickers == 0 || others == 0) {
      return share(buyers, clickers);
    }
    double base = anyway / (double) others;
    if (base >= 1) {
      return share(0, clickers);
    }
    Interval interval =
        Newcombe.independent(
            new Proportion(buyers, clickers),
            new Proportion(anyway, others),
            Confidence.NINETY_FIVE);
    double value = (buyers / (double) clickers - base) / (1 - base);
    return new Estimate(
        Math.max(0, value),
        Math.max(0, interval.low() / (1 - base)),
        Math.max(0, Math.min(1, interval.high() / (1 - base))),
        clickers);
  }

  /** From the rate of purchases by those who never clicked. */
  private Estimate buysAnyway(Map<String, List<SendRecord>> byPerson) {
    long buyers = 0;
    double seconds = 0;
    for (List<SendRecord> records : byPerson.values()) {
      if (records.stream().anyMatch(r -> r.clicked().isPresent())) {
        continue;
      }
      SendRecord first = records.stream().min(Comparator.comparing(SendRecord::sent)).orElseThrow();
      Optional<Instant> bought =
          records.stream().flatMap(r -> r.bought().stream()).min(Comparator.naturalOrder());
      buyers += bought.isPresent() ? 1 : 0;
      seconds += first.secondsTo(bought.orElse(until));
    }
    double rate = seconds == 0 ? 0 : buyers / seconds;
    double error = buyers == 0 ? 3 : 1.959963984540054 / Math.sqrt(buyers);
    double low = buyers == 0 ? 0 : rate * Math.exp(-error);
    double high = buyers == 0 && seconds > 0 ? error / seconds : rate * Math.exp(error);
    return new Estimate(monthly(rate), monthly(low), monthly(high), buyers);
  }

  private static double monthly(double ratePerSecond) {
    return -Math.expm1(-ratePerSecond * MONTH);
  }

  private static Estimate share(long count, long of) {
    if (of == 0) {
      return new Estimate(0, 0, 1, 0);
    }
    Interval interval = Wilson.interval(new Proportion(count, of), Confidence.NINETY_FIVE);
    return new Estimate((double) count / of, interval.low(), interval.high(), of);
  }
}
