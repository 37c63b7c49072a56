package org.opentrellis.bench;

import java.lang.management.ManagementFactory;
import java.lang.management.MemoryPoolMXBean;
import java.lang.management.MemoryType;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.ChainedOptionsBuilder;
import org.openjdk.jmh.runner.options.Options;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.VerboseMode;
import org.opentrellis.core.journey.Journey;

/** Prints the side-by-side table; with {@code --quick} only the reference journey's. */
public final class Bench {
  private static final int AGREE_PEOPLE = 100_000;

  private static final int PASSES = 3;

  /** The benchmarks in the order of the table, and what they are called there. */
  private enum Row {
    A_ENGINE_1_THREAD("this engine, 1 thread"),
    B_ENGINE_2_THREADS("this engine, 2 threads"),
    C_HAND_LOOP("plain Java: a loop by hand, same draws"),
    D_BARE_DRAWS("drawing the numbers alone"),
    E_PEER("SSJ 3.3.2 as in its examples"),
    F_PEER_FAST_GENERATORS("SSJ, its fastest generators"),
    G_PEER_ONE_BY_ONE("the same, a simulation each person");

    private final String words;

    Row(String words) {
      this.words = words;
    }

    double nanos(Map<String, Double> measured) {
      return measured.get(name().toLowerCase(Locale.ROOT));
    }
  }

  private Bench() {}

  public static void main(String[] arguments) throws RunnerException {
    boolean quick = List.of(arguments).contains("--quick");
    agree();
    Map<String, Double> nanos = measure();
    System.out.printf(
        "%nW6: six emails, two branches; %,d people; java %s, %d processors%n%n",
        Benchmarks.PEOPLE,
        System.getProperty("java.version"),
        Runtime.getRuntime().availableProcessors());
    System.out.printf("%-40s %12s %18s%n", "", "us a person", "against the engine");
    double engine = Row.A_ENGINE_1_THREAD.nanos(nanos);
    for (Row row : Row.values()) {
      double each = row.nanos(nanos);
      System.out.printf(
          Locale.ROOT, "%-40s %12.3f %17.2fx%n", row.words, each / 1000, each / engine);
    }
    if (!quick) {
      sizes();
    }
    double peer = Math.min(Row.E_PEER.nanos(nanos), Row.F_PEER_FAST_GENERATORS.nanos(nanos));
    System.out.printf(
        Locale.ROOT,
        "%nSSJ with everybody in one event list, its fastest, takes %.1f times as long as the"
            + " engine;%nwith a simulation of its own for each person, %.1f times.%n",
        peer / engine,
        Row.G_PEER_ONE_BY_ONE.nanos(nanos) / engine);
    System.out.printf(Locale.ROOT, "%nratio to peer: %.1f%n", peer / engine);
  }

  /** All of them must count the same, within chance, before any is timed. */
  private static void agree() {
    Counts engine = Engine.counts(AGREE_PEOPLE, 1);
    System.out.printf(
        "Counting the same %,d things of %,d people:%n", engine.compared(), AGREE_PEOPLE);
    require("a loop by hand", engine, new HandLoop().run(AGREE_PEOPLE, 2));
    require("SSJ as in its examples", engine, Peer.usual().together(AGREE_PEOPLE));
    require("SSJ, its fastest generators", engine, Peer.quickest().together(AGREE_PEOPLE));
    require("SSJ, one by one", engine, Peer.quickest().oneByOne(AGREE_PEOPLE));
  }

  private static void require(String name, Counts engine, Counts other) {
    Counts.Apart most = engine.distance(other, AGREE_PEOPLE);
    System.out.printf(
        Locale.ROOT,
        "%s counts as the engine does: at most %.2f standard errors apart%n",
        name,
        most.standardErrors());
    if (!most.isByChance()) {
      throw new IllegalStateException(name + " counts otherwise: " + most.what());
    }
  }

  /**
   * The quickest round of each, in some passes over all of them: on a shared machine the other
   * rounds tell what its neighbours do, and those do not do it to one benchmark alone.
   */
  private static Map<String, Double> measure() throws RunnerException {
    Map<String, Double> nanos = new HashMap<>();
    for (int pass = 0; pass < PASSES; pass++) {
      for (RunResult result : new Runner(options(pass)).run()) {
        String name = result.getParams().getBenchmark();
        nanos.merge(
            name.substring(name.lastIndexOf('.') + 1),
            result.getPrimaryResult().getStatistics().getMin(),
            Math::min);
      }
    }
    return nanos;
  }

  /** The slowest takes its time once; it is not the one that is compared with. */
  private static Options options(int pass) {
    ChainedOptionsBuilder options =
        new OptionsBuilder()
            .include(Benchmarks.class.getSimpleName())
            .verbosity(VerboseMode.SILENT)
            .jvmArgs("-Xmx1g", "-XX:+UseSerialGC"); // as ./trellis runs everything
    return pass == 0 ? options.build() : options.exclude("e_peer").build();
  }

  /** Longer journeys and more people, in this process, with the most memory that was in use. */
  private static void sizes() {
    System.out.printf(
        "%n%-14s %12s %8s %12s %14s %12s%n",
        "journey", "people", "threads", "seconds", "us a person", "peak MB");
    Map<String, Journey> journeys = new java.util.LinkedHashMap<>();
    journeys.put("W6", Reference.w6());
    journeys.put("20 steps", Reference.ofSteps(20));
    journeys.put("100 steps", Reference.ofSteps(100));
    for (Map.Entry<String, Journey> journey : journeys.entrySet()) {
      for (int people : new int[] {10_000, 100_000, 1_000_000, 10_000_000}) {
        for (int threads : new int[] {1, 2}) {
          row(journey.getKey(), journey.getValue(), people, threads);
        }
      }
    }
  }

  private static void row(String name, Journey journey, int people, int threads) {
    if (people == 10_000) {
      Reference.run(journey, 100_000, 2).run(threads); // warm
    }
    System.gc();
    List<MemoryPoolMXBean> heap =
        ManagementFactory.getMemoryPoolMXBeans().stream()
            .filter(pool -> pool.getType() == MemoryType.HEAP)
            .toList();
    heap.forEach(MemoryPoolMXBean::resetPeakUsage);
    long begun = System.nanoTime();
    Reference.run(journey, people, 1).run(threads);
    double seconds = (System.nanoTime() - begun) / 1e9;
    long peak = heap.stream().mapToLong(pool -> pool.getPeakUsage().getUsed()).sum();
    System.out.printf(
        Locale.ROOT,
        "%-14s %,12d %8d %12.3f %14.3f %12.0f%n",
        name,
        people,
        threads,
        seconds,
        seconds * 1e6 / people,
        peak / 1e6);
  }
}
