package org.opentrellis.bench;

import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OperationsPerInvocation;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** W6, nanoseconds a person. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.NANOSECONDS)
@Fork(1)
@Warmup(iterations = 5, time = 400, timeUnit = TimeUnit.MILLISECONDS)
@Measurement(iterations = 6, time = 300, timeUnit = TimeUnit.MILLISECONDS)
public class Benchmarks {
  /** People in one invocation: so many that preparing the run does not count. */
  static final int PEOPLE = 200_000;

  private long seed = 1;

  /** This engine, one thread. */
  @Benchmark
  @OperationsPerInvocation(PEOPLE)
  public Object a_engine_1_thread() {
    return Engine.run(PEOPLE, seed++, 1);
  }

  /** This engine, two threads. */
  @Benchmark
  @OperationsPerInvocation(PEOPLE)
  public Object b_engine_2_threads() {
    return Engine.run(PEOPLE, seed++, 2);
  }

  /** A loop by hand. */
  @Benchmark
  @OperationsPerInvocation(PEOPLE)
  public Object c_hand_loop() {
    return new HandLoop().run(PEOPLE, seed++);
  }

  /** The numbers alone. */
  @Benchmark
  @OperationsPerInvocation(PEOPLE)
  public Object d_bare_draws() {
    return BareDraws.run(PEOPLE, seed++);
  }

  /** The peer as its examples use it. */
  @Benchmark
  @OperationsPerInvocation(PEOPLE)
  @Warmup(iterations = 1)
  @Measurement(iterations = 1)
  public Object e_peer() {
    return Peer.usual().together(PEOPLE);
  }

  /** The peer with its fastest generators. */
  @Benchmark
  @OperationsPerInvocation(PEOPLE)
  @Warmup(iterations = 1)
  @Measurement(iterations = 3)
  public Object f_peer_fast_generators() {
    return Peer.quickest().together(PEOPLE);
  }

  /** The same with a simulation of its own for each person, who then can meet nobody. */
  @Benchmark
  @OperationsPerInvocation(PEOPLE)
  public Object g_peer_one_by_one() {
    return Peer.quickest().oneByOne(PEOPLE);
  }
}
