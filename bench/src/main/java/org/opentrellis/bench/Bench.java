package org.opentrellis.bench;

import java.lang.management.ManagementFactory;
import java.lang.management.MemoryPoolMXBean;
import java.lang.management.MemoryType;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.VerboseMode;
import org.opentrellis.core.journey.Journey;

/** Prints the side-by-side table; with {@code --quick} only the reference journey's. */
public final class Bench {
  private static final int AGREE_PEOPLE = 400_000;

  /** A sound pair of simulations is further apart in one of 7 counts once in 100,000 times. */
  private static final double AGREE = 4.9;

  private static final String[] NAMES = {
    "a_engine_1_thread", "b_engine_2_threads", "c_hand_loop",
    "d_bare_draws", "e_peer", "f_peer_fast_generator"
  };
  private static final String[] WORDS = {
    "this engine, 1 thread",
    "this engine, 2 threads",
    "a loop by hand, the same draws",
    "drawing the numbers alone",
    "SSJ 3.3.2, MRG32k3a",
    "SSJ 3.3.2, LFSR113 (its fastest)"
  };

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
    System.out.printf("%-36s %14s %18s%n", "", "us a person", "against the engine");
    double engine = nanos.get(NAMES[0]);
    for (int i = 0; i < NAMES.length; i++) {
      double each = nanos.get(NAMES[i]);
      System.out.printf(
          Locale.ROOT, "%-36s %14.3f %17.2fx%n", WORDS[i], each / 1000, each / engine);
    }
    if (!quick) {
      sizes();
    }
    double peer = Math.min(nanos.get(NAMES[4]), nanos.get(NAMES[5]));
    System.out.printf(Locale.ROOT, "%nratio to peer: %.1f%n", peer / engine);
  }

  /** All of them must count the same, within chance, before any is timed. */
  private static void agree() {
    Counts engine = Engine.run(AGREE_PEOPLE, 1, 1);
    require("a loop by hand", engine, new HandLoop().run(AGREE_PEOPLE, 2));
    require("SSJ, MRG32k3a", engine, Peer.usual().together(AGREE_PEOPLE));
    require("SSJ, LFSR113", engine, Peer.quickest().together(AGREE_PEOPLE));
  }

  private static void require(String name, Counts engine, Counts other) {
    double z = engine.distance(other, AGREE_PEOPLE);
    System.out.printf(
        Locale.ROOT,
        "%s counts as the engine does: at most %.2f standard errors apart in %,d people%n",
        name,
        z,
        AGREE_PEOPLE);
    if (!(z < AGREE)) {
      throw new IllegalStateException(
          name
              + " counts otherwise: "
              + java.util.Arrays.toString(other.sent())
              + ", goal "
              + other.goal()
              + " against "
              + java.util.Arrays.toString(engine.sent())
              + ", goal "
              + engine.goal());
    }
  }

  private static Map<String, Double> measure() throws RunnerException {
    Collection<RunResult> results =
        new Runner(
                new OptionsBuilder()
                    .include(Benchmarks.class.getSimpleName())
                    .verbosity(VerboseMode.SILENT)
                    .jvmArgs("-Xmx1g")
                    .build())
            .run();
    Map<String, Double> nanos = new HashMap<>();
    for (RunResult result : results) {
      String name = result.getParams().getBenchmark();
      nanos.put(name.substring(name.lastIndexOf('.') + 1), result.getPrimaryResult().getScore());
    }
    return nanos;
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
