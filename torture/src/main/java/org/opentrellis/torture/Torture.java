package org.opentrellis.torture;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;

/**
 * {@code --jar FILE [--minutes N]}: every ordeal in turn until the time is over, then one line that
 * counts. Exit status 0 if nothing went wrong.
 */
public final class Torture {
  private static final int DEFAULT_MINUTES = 5;

  private Torture() {}

  public static void main(String[] arguments) throws IOException {
    String jar = "app/target/open-trellis.jar";
    int minutes = DEFAULT_MINUTES;
    for (int i = 0; i + 1 < arguments.length; i += 2) {
      switch (arguments[i]) {
        case "--jar" -> jar = arguments[i + 1];
        case "--minutes" -> minutes = Integer.parseInt(arguments[i + 1]);
        default -> throw new IllegalArgumentException("unknown option " + arguments[i]);
      }
    }
    long seed = new Random().nextInt();
    System.out.println("Seed " + seed + ", " + minutes + " minutes.");
    Score score = run(List.of("java", "-XX:+UseSerialGC", "-jar", jar), minutes, seed);
    score.told().forEach(System.out::println);
    System.out.println(score);
    System.exit(score.isClean() ? 0 : 1);
  }

  private static Score run(List<String> command, int minutes, long seed) throws IOException {
    Path room = Files.createTempDirectory("trellis-torture");
    long until = System.nanoTime() + minutes * 60_000_000_000L;
    Score score = new Score();
    Killing killing = new Killing(command, room, seed);
    List<OldFolder> old = OldFolder.all();
    for (int round = 0; System.nanoTime() < until; round++) {
      killing.whileOthersWork(score);
      killing.inImports(score, 3);
      System.out.println("Work:        " + score);
      killing.inJourneys(score, 5, 2_000);
      System.out.println("Journeys:    " + score);
      killing.inFirstStart(score);
      System.out.println("First start: " + score);
      killing.inUpgrade(old.get(round % old.size()), score);
      System.out.println("Upgrade:     " + score);
      if (round % 5 == 0) {
        attack(command, room.resolve("attack-" + round), seed + round, score);
        System.out.println("Attacks:     " + score);
      }
    }
    return score;
  }

  private static void attack(List<String> command, Path folder, long seed, Score score)
      throws IOException {
    try (Server server = Server.start(command, folder, true)) {
      boolean ready = server.awaitReady();
      score.start(ready, "to be attacked: " + folder);
      if (ready) {
        String address = server.address();
        new TwentyAtOnce(address, seed).suffer(score);
        new HostileRequests(address, seed, 100).suffer(score);
      }
    }
  }
}
