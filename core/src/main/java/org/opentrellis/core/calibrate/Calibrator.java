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
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.stats.Confidence;
import org.opentrellis.core.stats.Interval;
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
   * @throws Refused if there is too little to fit anything to
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
      throw new Refused("a calibration needs at least 20 opens by people, not " + opened.size());
    }
    requireDifferences(readers, opened);
    Delays delays = delays(opened);
    List<String> messages = arrived.stream().map(SendRecord::message).distinct().sorted().toList();
    KeennessFit keenness = keenness(readers, delays.fit);
    BuyingFit buying = buying(opened);
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
        share(machine, byPerson.size()).orElseThrow(),
        share(all.size() - (long) arrived.size(), all.size()).orElseThrow(),
        delays.fit.medianHours(),
        delays.fit.sigma(),
        delays.attention.map(AttentionFit::hours),
        buying.chance(),
        buying.meanHours(),
        buysAnyway(byPerson),
        each);
  }

  /** A history in which all is alike fits many values equally well. */
  private static void requireDifferences(List<SendRecord> readers, List<SendRecord> opened) {
    if (opened.size() == readers.size()) {
      throw new Refused(
          "nothing-differs",
          "everybody opened every message that reached them, so that nothing can be measured of how keen they are; a history needs the messages that were not opened, too");
    }
    long delays =
        opened.stream().mapToDouble(r -> r.secondsTo(r.opened().orElseThrow())).distinct().count();
    if (delays == 1) {
      throw new Refused(
          "nothing-differs",
          "all %,d opens came equally long after sending, so that nothing can be measured of how long people take; look at how the times of the opens were written down"
              .formatted(opened.size()));
    }
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

  private KeennessFit keenness(List<SendRecord> readers, OpenDelay delay) {
    Map<String, List<KeennessFit.Trial>> byPerson = new LinkedHashMap<>();
    for (SendRecord record : readers) {
      byPerson
          .computeIfAbsent(record.person(), person -> new ArrayList<>())
          .add(
              new KeennessFit.Trial(
                  record.message(),
                  record.opened().isPresent(),
                  delay.within(record.secondsTo(until))));
    }
    return KeennessFit.fit(List.copyOf(byPerson.values()));
  }

  private static Calibration.OfMessage ofMessage(
      String message, List<SendRecord> opened, KeennessFit keenness) {
    List<SendRecord> of = opened.stream().filter(r -> r.message().equals(message)).toList();
    long clicks = of.stream().filter(r -> r.clicked().isPresent()).count();
    long leavers = of.stream().filter(r -> r.unsubscribed().isPresent()).count();
    return new Calibration.OfMessage(
        Optional.ofNullable(keenness.pulls().get(message)),
        share(clicks, of.size()),
        share(leavers, of.size()));
  }

  /** After each click, and after each open without one. */
  private BuyingFit buying(List<SendRecord> opened) {
    List<BuyingFit.Watched> clickers = new ArrayList<>();
    List<BuyingFit.Watched> others = new ArrayList<>();
    for (SendRecord record : opened) {
      Instant from = record.clicked().or(record::opened).orElseThrow();
      Optional<Instant> bought = record.bought().filter(at -> !at.isBefore(from));
      double seconds = record.secondsTo(bought.orElse(until)) - record.secondsTo(from);
      (record.clicked().isPresent() ? clickers : others)
          .add(new BuyingFit.Watched(Math.max(0, seconds), bought.isPresent()));
    }
    return BuyingFit.fit(clickers, others);
  }

  /** From the rate of purchases by those who never clicked; empty if nobody is such. */
  private Optional<Estimate> buysAnyway(Map<String, List<SendRecord>> byPerson) {
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
    if (seconds == 0) {
      return Optional.empty();
    }
    double rate = buyers / seconds;
    double error = buyers == 0 ? 3 : 1.959963984540054 / Math.sqrt(buyers);
    double low = buyers == 0 ? 0 : rate * Math.exp(-error);
    double high = buyers == 0 ? error / seconds : rate * Math.exp(error);
    return Optional.of(new Estimate(monthly(rate), monthly(low), monthly(high), buyers));
  }

  private static double monthly(double ratePerSecond) {
    return -Math.expm1(-ratePerSecond * MONTH);
  }

  /** Empty if there is nobody to tell of. */
  private static Optional<Estimate> share(long count, long of) {
    if (of == 0) {
      return Optional.empty();
    }
    Interval interval = Wilson.interval(new Proportion(count, of), Confidence.NINETY_FIVE);
    return Optional.of(new Estimate((double) count / of, interval.low(), interval.high(), of));
  }
}
