package org.opentrellis.cluster;

import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.Stream;

/**
 * A standalone master and two workers, each a process of its own on 127.0.0.1, from the same jars
 * as the driver.
 */
final class Standalone implements AutoCloseable {
  private static final Path TARGET = Path.of("target").toAbsolutePath();
  private static final Duration PATIENCE = Duration.ofMinutes(2);

  private final Path folder;
  private final String address;
  private final Process master;
  private final List<Process> workers = new ArrayList<>();

  Standalone() throws IOException {
    folder = Files.createTempDirectory(TARGET, "standalone");
    Path home = Files.createDirectory(folder.resolve("home"));
    Files.createSymbolicLink(home.resolve("jars"), TARGET.resolve("lib"));
    int port = freePort();
    int page = freePort();
    address = "spark://127.0.0.1:" + port;
    master =
        start(
            "master", "org.apache.spark.deploy.master.Master", page, List.of("--port", port + ""));
    until(page, "\"status\" : \"ALIVE\"");
    for (int n = 1; n <= 2; n++) {
      List<String> room =
          List.of(
              "--cores",
              "1",
              "--memory",
              "1g",
              "--work-dir",
              folder.resolve("work" + n) + "",
              address);
      workers.add(
          start("worker" + n, "org.apache.spark.deploy.worker.Worker", freePort(), room));
    }
    until(page, "\"aliveworkers\" : 2");
  }

  String address() {
    return address;
  }

  /** What executors need besides what Spark's own installation has, as {@code ./trellis} does. */
  static String jars() throws IOException {
    try (Stream<Path> lib = Files.list(TARGET.resolve("lib"))) {
      List<String> ours =
          new ArrayList<>(
              lib.filter(jar -> isOurs(jar.getFileName() + "")).map(Path::toString).toList());
      ours.add(TARGET.resolve("open-trellis-cluster.jar") + "");
      return String.join(java.io.File.pathSeparator, ours);
    }
  }

  private static boolean isOurs(String jar) {
    return jar.startsWith("open-trellis");
  }

  /** Kills a worker with its executors, as if its machine had lost its power. */
  void killWorker() {
    Process worker = workers.remove(0);
    worker.descendants().forEach(ProcessHandle::destroyForcibly);
    worker.destroyForcibly();
  }

  int workers() {
    return (int) workers.stream().filter(Process::isAlive).count();
  }

  private Process start(String name, String main, int page, List<String> options)
      throws IOException {
    List<String> command = new ArrayList<>();
    Collections.addAll(
        command,
        ProcessHandle.current().info().command().orElseThrow(),
        "@" + Path.of("src/main/resources/org/opentrellis/cluster/java.options").toAbsolutePath(),
        "-Xmx512m",
        "-cp",
        TARGET.resolve("lib") + "/*",
        main,
        "--host",
        "127.0.0.1",
        "--webui-port",
        page + "");
    command.addAll(options);
    ProcessBuilder builder =
        new ProcessBuilder(command)
            .redirectErrorStream(true)
            .redirectOutput(folder.resolve(name + ".log").toFile());
    builder.environment().put("SPARK_HOME", folder.resolve("home") + "");
    builder.environment().put("SPARK_SCALA_VERSION", "2.13");
    builder.environment().put("SPARK_LOCAL_IP", "127.0.0.1");
    return builder.start();
  }

  /** What the master's page says of itself. */
  private void until(int page, String says) {
    long end = System.nanoTime() + PATIENCE.toNanos();
    HttpRequest ask =
        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + page + "/json/")).build();
    try (HttpClient client = HttpClient.newHttpClient()) {
      while (!answer(client, ask).contains(says)) {
        if (System.nanoTime() > end) {
          throw new IllegalStateException(
              "the master never says " + says + "; see the logs in " + folder);
        }
        Thread.sleep(100);
      }
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(stopped);
    }
  }

  private static String answer(HttpClient client, HttpRequest ask) throws InterruptedException {
    try {
      return client.send(ask, HttpResponse.BodyHandlers.ofString()).body();
    } catch (IOException notYet) {
      return "";
    }
  }

  private static int freePort() throws IOException {
    try (ServerSocket socket = new ServerSocket(0)) {
      return socket.getLocalPort();
    }
  }

  @Override
  public void close() {
    workers.forEach(worker -> worker.descendants().forEach(ProcessHandle::destroyForcibly));
    workers.forEach(Process::destroyForcibly);
    master.destroyForcibly();
  }
}
