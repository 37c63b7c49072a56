package org.opentrellis.cluster;

import java.io.File;
import java.io.IOException;
import java.io.PrintWriter;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.spark.SparkConf;
import org.apache.spark.api.java.JavaSparkContext;
import org.apache.spark.broadcast.Broadcast;
import org.opentrellis.cli.Cluster;
import org.opentrellis.cli.RunDocument;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.Paths;
import org.opentrellis.core.dryrun.Tallies;

/**
 * Makes runs on Apache Spark. The first million people go first, since they say which ways are kept
 * apart; then all others, whose counts are added up in a tree. A part that is lost with its
 * executor is made again by another, to the same counts.
 */
public final class SparkCluster implements Cluster {
  /** What Spark needs to be let do by a Java of today. */
  private static final String OPENED =
      "--add-opens=java.base/java.lang=ALL-UNNAMED --add-opens=java.base/java.lang.invoke=ALL-UNNAMED"
          + " --add-opens=java.base/java.lang.reflect=ALL-UNNAMED --add-opens=java.base/java.io=ALL-UNNAMED"
          + " --add-opens=java.base/java.net=ALL-UNNAMED --add-opens=java.base/java.nio=ALL-UNNAMED"
          + " --add-opens=java.base/java.util=ALL-UNNAMED --add-opens=java.base/java.util.concurrent=ALL-UNNAMED"
          + " --add-opens=java.base/java.util.concurrent.atomic=ALL-UNNAMED"
          + " --add-opens=java.base/sun.nio.ch=ALL-UNNAMED --add-opens=java.base/sun.nio.cs=ALL-UNNAMED"
          + " --add-opens=java.base/sun.security.action=ALL-UNNAMED --add-opens=java.base/sun.util.calendar=ALL-UNNAMED";

  private static final int DEPTH = 3;

  private static final Pattern STANDALONE = Pattern.compile("spark://([^:/]+):(\\d{1,5})");
  private static final String LOOPBACK = "127.0.0.1";
  private static final int PATIENCE_MILLIS = 5_000;

  @Override
  public Tallies run(RunDocument document, DryRun run, String master, PrintWriter progress) {
    String here = knock(master);
    try (JavaSparkContext spark = new JavaSparkContext(settings(master, here))) {
      return new Job(spark, document, run, progress).tallies();
    } catch (Exception failed) { // Spark throws what it does not declare
      String why = String.valueOf(failed.getMessage()).lines().findFirst().orElse("");
      throw new ClusterTrouble(
          "The run could not be made on %s: %s".formatted(master, why), failed);
    }
  }

  /**
   * Spark itself tries for minutes before it says that nobody answers.
   *
   * @return the address by which the master, and so its executors, reach this machine
   */
  private static String knock(String master) {
    Matcher standalone = STANDALONE.matcher(master);
    if (!standalone.matches()) {
      return LOOPBACK;
    }
    try (Socket socket = new Socket()) {
      int port = Integer.parseInt(standalone.group(2));
      socket.connect(new InetSocketAddress(standalone.group(1), port), PATIENCE_MILLIS);
      return socket.getLocalAddress().getHostAddress();
    } catch (IOException | IllegalArgumentException silent) {
      throw new ClusterTrouble(
          "Nothing answers at %s; is the master running there?".formatted(master), silent);
    }
  }

  private static SparkConf settings(String master, String here) {
    SparkConf conf =
        new SparkConf()
            .setMaster(master)
            .setAppName("Open Trellis")
            .set("spark.ui.enabled", "false")
            .set("spark.executor.extraJavaOptions", OPENED)
            .set("spark.driver.maxResultSize", "0")
            .setIfMissing("spark.driver.host", here)
            .setIfMissing("spark.driver.bindAddress", here);
    return master.startsWith("local") ? conf : conf.setJars(ours());
  }

  /** The jars that executors need besides Spark's own, as {@code ./trellis} names them. */
  private static String[] ours() {
    String jars = System.getProperty("trellis.jars", "");
    return jars.isEmpty() ? new String[0] : jars.split(File.pathSeparator);
  }

  /** One run. */
  private record Job(
      JavaSparkContext spark, RunDocument document, DryRun run, PrintWriter progress) {
    Tallies tallies() {
      int people = run.settings().people();
      int pioneers = Math.min(people, Paths.PIONEERS);
      List<Range> first = Range.parts(0, pioneers);
      RunDocument sent = document;
      Compiled here = Compiled.of(document);
      List<byte[]> parts =
          spark
              .parallelize(first, first.size())
              .map(range -> Compiled.of(sent).part(range, null))
              .collect();
      Tallies all = Tallies.ofPioneers(parts.stream().map(here::read).toList());
      progress.printf("%,d of %,d people%n", pioneers, people);
      if (people == pioneers) {
        return all;
      }
      List<Range> others = Range.parts(pioneers, people);
      Broadcast<byte[]> known = spark.broadcast(Compiled.bytes(all));
      byte[] rest =
          spark
              .parallelize(others, others.size())
              .map(range -> Compiled.of(sent).part(range, known.value()))
              .treeReduce((one, other) -> Compiled.of(sent).together(one, other), DEPTH);
      progress.printf("%,d of %,d people%n", people, people);
      return all.and(here.read(rest));
    }
  }
}
