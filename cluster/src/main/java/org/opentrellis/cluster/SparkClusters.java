package org.opentrellis.cluster;

import java.io.File;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.spark.SparkConf;
import org.apache.spark.api.java.JavaSparkContext;
import org.opentrellis.core.elsewhere.Cluster;
import org.opentrellis.core.elsewhere.ClusterTrouble;
import org.opentrellis.core.elsewhere.Clusters;

/** Reaches clusters of Apache Spark. */
public final class SparkClusters implements Clusters {
  /** What Spark needs to be let do by a Java of today, a line for each. */
  private static final String OPTIONS = "java.options";

  private static final Pattern STANDALONE = Pattern.compile("spark://([^:/]+):(\\d{1,5})");
  private static final String LOOPBACK = "127.0.0.1";
  private static final int PATIENCE_MILLIS = 5_000;

  @Override
  public Cluster open(String master) {
    String here = knock(master);
    try {
      return new SparkCluster(master, new JavaSparkContext(settings(master, here)));
    } catch (Exception failed) { // Spark throws what it does not declare
      throw trouble(master, failed);
    }
  }

  static ClusterTrouble trouble(String master, Throwable failed) {
    String why = String.valueOf(failed.getMessage()).lines().findFirst().orElse("");
    return new ClusterTrouble(
        "The run could not be made on %s: %s".formatted(master, why), failed);
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
            .set("spark.executor.extraJavaOptions", options())
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

  private static String options() {
    try (InputStream from = SparkClusters.class.getResourceAsStream(OPTIONS)) {
      return String.join(
          " ", new String(from.readAllBytes(), StandardCharsets.UTF_8).lines().toList());
    } catch (IOException unreadable) {
      throw new UncheckedIOException(unreadable);
    }
  }
}
