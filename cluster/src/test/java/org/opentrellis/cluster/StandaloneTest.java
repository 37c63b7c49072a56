package org.opentrellis.cluster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.opentrellis.core.behaviour.ArrivalPlan;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.RunCancelled;
import org.opentrellis.core.elsewhere.Cluster;
import org.opentrellis.core.elsewhere.RunDocument;
import org.opentrellis.core.elsewhere.RunnerThere;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.JourneyFile;
import org.opentrellis.core.search.Limits;
import org.opentrellis.core.search.Proposal;
import org.opentrellis.core.search.Proposals;
import org.opentrellis.core.search.Search;
import org.opentrellis.core.search.SearchPlan;
import org.opentrellis.core.search.SearchWatch;
import org.opentrellis.core.search.SearchWish;
import org.opentrellis.core.search.Wanted;
import org.opentrellis.core.vary.VariedRun;

/**
 * What a real cluster comes to is what one thread comes to, to the last bit: a master and two
 * workers in processes of their own, one of which is killed in the middle.
 */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class StandaloneTest {
  private static Standalone standalone;
  private static Cluster cluster;

  @BeforeAll
  static void start() throws IOException {
    System.setProperty("trellis.jars", Standalone.jars());
    standalone = new Standalone();
    cluster = new SparkClusters().open(standalone.address());
  }

  @AfterAll
  static void stop() {
    if (cluster != null) {
      cluster.close();
    }
    if (standalone != null) {
      standalone.close();
    }
  }

  @Test
  @Order(1)
  void theFiguresAreTheSameToTheLastBit() {
    RunDocument document = document(1_700_001, "first-frames", "left-on-the-bench");
    AtomicInteger told = new AtomicInteger();
    byte[] there = Compiled.bytes(cluster.run(document, told::addAndGet));
    assertThat(there).isEqualTo(onOneThread(document));
    assertThat(told).hasValue(1_700_001);
  }

  @Test
  @Order(2)
  void aSearchFindsTheSame() {
    JourneyFile file = file("left-on-the-bench");
    VariedRun run =
        new VariedRun(
            file.journey(),
            file.catalogue(),
            file.behaviour().orElseThrow(),
            CohortPlan.of(5_000, file.behaviour().orElseThrow().groups()),
            settings(5_000));
    SearchWish wish =
        new SearchWish(
            Proposals.of(run).stream()
                .filter(one -> one.id().startsWith("tries:"))
                .limit(2)
                .map(Proposal::leeway)
                .toList(),
            new Wanted(Wanted.What.GOAL, 0, 0),
            Limits.NONE,
            40_000);
    SearchPlan plan = new SearchPlan(run, wish);
    assertThat(Search.of(plan, new RunnerThere(cluster), SearchWatch.NONE))
        .isEqualTo(Search.of(plan, SearchWatch.NONE));
  }

  @Test
  @Order(3)
  void aRunThatIsStoppedStopsAndTheNextOneIsMade() {
    RunDocument long1 = document(400_000_000, "first-frames");
    long begun = System.nanoTime();
    assertThatThrownBy(
            () ->
                cluster.run(
                    long1,
                    people -> {
                      if (people > 0) {
                        throw new RunCancelled();
                      }
                    }))
        .isInstanceOf(RunCancelled.class);
    RunDocument next = document(300_000, "first-frames");
    assertThat(Compiled.bytes(cluster.run(next, people -> {}))).isEqualTo(onOneThread(next));
    assertThat((System.nanoTime() - begun) / 1e9).isLessThan(60);
  }

  @Test
  @Order(4)
  void aWorkerThatIsLostInTheMiddleChangesNothing() {
    RunDocument document = document(6_000_000, "first-frames");
    AtomicBoolean killed = new AtomicBoolean();
    AtomicInteger through = new AtomicInteger();
    byte[] there =
        Compiled.bytes(
            cluster.run(
                document,
                people -> {
                  if (through.addAndGet(people) > 1_500_000 && !killed.getAndSet(true)) {
                    standalone.killWorker();
                    assertThat(through.get()).isLessThan(6_000_000);
                  }
                }));
    assertThat(killed).isTrue();
    assertThat(standalone.workers()).isEqualTo(1);
    assertThat(there).isEqualTo(onOneThread(document));
  }

  private static byte[] onOneThread(RunDocument document) {
    return Compiled.bytes(document.dryRun().run(1));
  }

  static RunDocument document(int people, String... names) {
    List<JourneyFile> files = Arrays.stream(names).map(StandaloneTest::file).toList();
    return RunDocument.of(
        files.stream().map(JourneyFile::journey).toList(),
        JourneyFile.catalogueOf(files),
        files.stream().map(one -> one.behaviour().orElseThrow()).toList(),
        settings(people));
  }

  private static CohortSettings settings(int people) {
    return new CohortSettings(
        people, 7, Instant.parse("2027-03-01T00:00:00Z"), 60, new ArrivalPlan.Evenly(28), 0.05);
  }

  private static JourneyFile file(String name) {
    try {
      return Documents.readFile(
          Files.readString(Path.of("..", "docs", "examples", name + ".json")));
    } catch (IOException unreadable) {
      throw new java.io.UncheckedIOException(unreadable);
    }
  }
}
