package org.opentrellis.torture;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.TreeSet;
import tools.jackson.databind.JsonNode;

/** Kills the application at moments that matter, and looks what is there after the next start. */
public final class Killing {
  private static final int JOURNEYS_OF_DEMO = 8;

  private final List<String> command;
  private final Path room;
  private final Random random;
  private int rounds;

  /**
   * @param command what starts the application, without options
   * @param room a folder to work in
   */
  public Killing(List<String> command, Path room, long seed) {
    this.command = List.copyOf(command);
    this.room = room;
    this.random = new Random(seed);
  }

  private Path newFolder(String what) {
    return room.resolve(what + "-" + ++rounds);
  }

  /** Kills it while the demo's folder is made and laid. */
  public void inFirstStart(Score score) throws IOException {
    Path folder = newFolder("first");
    try (Server server = Server.start(command, folder, true)) {
      dieAtSomeMoment(server, folder);
    }
    try (Server server = Server.start(command, folder, true)) {
      boolean ready = server.awaitReady();
      score.start(ready, "after a kill in the first start: " + folder);
      if (ready) {
        Api api = server.api();
        expect(score, api.get("/api/journeys/names"), JOURNEYS_OF_DEMO, "journeys of the demo");
        expect(score, api.get("/api/dry-runs"), JOURNEYS_OF_DEMO, "runs of the demo");
        expect(score, api.get("/api/kept-comparisons"), 1, "comparison of the demo");
      }
    }
  }

  private static void expect(Score score, Api.Answer answer, int count, String what) {
    score.acknowledge();
    JsonNode body = answer.body();
    int found = body.isArray() ? body.size() : body.at("/total").asInt();
    if (found != count) {
      score.lose("%d instead of %d %s".formatted(found, count, what));
    }
  }

  /** Kills it while it brings a folder of an earlier version up to date. */
  public void inUpgrade(OldFolder old, Score score) throws IOException {
    Path folder = newFolder("upgrade");
    old.unpack(folder);
    try (Server server = Server.start(command, folder, false)) {
      dieAtSomeMoment(server, folder);
    }
    try (Server server = Server.start(command, folder, false)) {
      boolean ready = server.awaitReady();
      score.start(ready, "after a kill in the upgrade of " + old + ": " + folder);
      if (ready) {
        score.acknowledge();
        JsonNode journeys = server.api().get("/api/journeys/names").body();
        TreeSet<String> names = new TreeSet<>();
        journeys.forEach(one -> names.add(one.at("/name").asString()));
        if (!names.equals(new TreeSet<>(old.journeys()))) {
          score.lose("journeys of " + old + ": " + names);
        }
      }
    }
  }

  /** Mostly while the database is made or copied, sometimes at any other moment. */
  private void dieAtSomeMoment(Server server, Path folder) {
    if (random.nextInt(4) > 0) {
      Path next = folder.resolve("trellis-next.mv.db");
      Path ready = folder.resolve("running.json");
      server.await(() -> Files.exists(next) || Files.exists(ready));
      Server.sleep(random.nextInt(900));
    } else {
      Server.sleep(random.nextInt(9_000));
    }
    server.kill();
  }

  /**
   * Kills it while tables of people are brought in and taken back.
   *
   * @param lives how often
   */
  public void inImports(Score score, int lives) throws IOException {
    Path folder = newFolder("imports");
    Importing importing = new Importing(score);
    for (int life = 0; life <= lives; life++) {
      try (Server server = Server.start(command, folder, false)) {
        boolean ready = server.awaitReady();
        score.start(
            ready,
            ready ? "" : "after a kill during an import: " + folder + "\n" + server.lastWords());
        if (!ready) {
          return;
        }
        if (life == lives) {
          importing.end(server.api());
          return;
        }
        importing.goOn(server.api());
        Server.sleep(random.nextInt(2_500));
        server.kill();
      }
    }
  }

  /**
   * Kills it while people go through a journey and mail goes out to them.
   *
   * @param lives how often
   * @param crowd how many simulated people come
   */
  public void inJourneys(Score score, int lives, int crowd) throws IOException {
    Path folder = newFolder("journeys");
    Living living = new Living(score, crowd);
    for (int life = 0; life <= lives; life++) {
      try (Server server = Server.start(command, folder, true)) {
        boolean ready = server.awaitReady();
        score.start(
            ready, ready ? "" : "after a kill in journeys: " + folder + "\n" + server.lastWords());
        if (!ready) {
          return;
        }
        Api api = server.api();
        if (life == 0) {
          living.begin(api);
        } else {
          living.check(api);
        }
        if (life == lives) {
          living.end(api);
          return;
        }
        living.goOn(api);
        Server.sleep(random.nextInt(4_000));
        server.kill();
      }
    }
  }

  /** Kills it while others save, bring files in and make runs. */
  public void whileOthersWork(Score score) throws IOException {
    Path folder = newFolder("work");
    Work work = new Work(score);
    for (int life = 0; life < 3; life++) {
      try (Server server = Server.start(command, folder, false)) {
        boolean ready = server.awaitReady();
        score.start(ready, "after a kill during work: " + folder);
        if (!ready) {
          return;
        }
        work.check(server.api());
        work.begin(server.api());
        Server.sleep(1_000 + random.nextInt(6_000));
        server.kill();
        work.end();
      }
    }
    try (Server server = Server.start(command, folder, false)) {
      boolean ready = server.awaitReady();
      score.start(ready, "after the last kill during work: " + folder);
      if (ready) {
        work.check(server.api());
      }
    }
  }
}
