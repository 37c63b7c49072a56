package org.opentrellis.cluster;

import java.util.List;
import org.apache.spark.api.java.JavaSparkContext;
import org.apache.spark.broadcast.Broadcast;
import org.apache.spark.util.LongAccumulator;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.Paths;
import org.opentrellis.core.dryrun.PeopleScores;
import org.opentrellis.core.dryrun.RunControl;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.elsewhere.Cluster;
import org.opentrellis.core.elsewhere.RunDocument;

/**
 * Makes runs on Apache Spark. The first million people go first, since they say which ways are kept
 * apart; then all others, whose counts are added up in a tree. A part that is lost with its
 * executor is made again by another, to the same counts.
 */
final class SparkCluster implements Cluster {
  private static final int DEPTH = 3;

  private final String master;
  private final JavaSparkContext spark;

  SparkCluster(String master, JavaSparkContext spark) {
    this.master = master;
    this.spark = spark;
  }

  @Override
  public Tallies run(RunDocument document, RunControl control) {
    int people = Compiled.of(document).run().settings().people();
    LongAccumulator through = spark.sc().longAccumulator();
    Job job = new Job(spark, master, through, people, control);
    return job.await(() -> tallies(document, people, through));
  }

  private Tallies tallies(RunDocument document, int people, LongAccumulator through) {
    Compiled here = Compiled.of(document);
    int pioneers = Math.min(people, Paths.PIONEERS);
    List<Range> first = Range.parts(0, pioneers, Range.USUAL);
    List<byte[]> parts =
        spark
            .parallelize(first, first.size())
            .map(range -> range.through(through, Compiled.of(document).part(range, null)))
            .collect();
    Tallies all = Tallies.ofPioneers(parts.stream().map(here::read).toList());
    if (people == pioneers) {
      return all;
    }
    List<Range> others = Range.parts(pioneers, people, Range.USUAL);
    Broadcast<byte[]> known = spark.broadcast(Compiled.bytes(all));
    try {
      byte[] rest =
          spark
              .parallelize(others, others.size())
              .map(
                  range ->
                      range.through(through, Compiled.of(document).part(range, known.value())))
              .treeReduce((one, other) -> Compiled.of(document).together(one, other), DEPTH);
      return all.and(here.read(rest));
    } finally {
      known.destroy();
    }
  }

  @Override
  public PeopleScores scores(RunDocument document, RunControl control) {
    DryRun run = Compiled.of(document).run();
    int people = run.settings().people();
    LongAccumulator through = spark.sc().longAccumulator();
    List<Range> ranges = Range.parts(0, people, Range.SMALL);
    Job job = new Job(spark, master, through, people, control);
    List<byte[]> parts =
        job.await(
            () ->
                spark
                    .parallelize(ranges, ranges.size())
                    .map(range -> range.through(through, Compiled.of(document).scores(range)))
                    .collect());
    return Compiled.joined(run, ranges, parts);
  }

  @Override
  public int atOnce() {
    return 1 + spark.defaultParallelism();
  }

  @Override
  public void close() {
    spark.close();
  }
}
