package org.opentrellis.app.elsewhere;

import java.io.IOException;
import java.io.InputStream;
import java.io.ObjectInputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.Effort;
import org.opentrellis.core.dryrun.TallyForm;
import org.opentrellis.core.elsewhere.DriverWords;
import org.opentrellis.core.elsewhere.RunDocument;

/**
 * A process like the one that speaks to a cluster, which makes a run by itself; or does what its
 * master's name says.
 */
final class PretendedDriver {
  private PretendedDriver() {}

  public static void main(String[] arguments) throws Exception {
    switch (arguments[0]) {
      case "spark://silent:7077" -> {
        System.out.println(DriverWords.ofTrouble("Nothing answers\nat spark://silent:7077."));
        System.exit(1);
      }
      case "spark://falls:7077" -> {
        System.err.println("it fell over");
        System.exit(3);
      }
      case "spark://slow:7077" -> {
        while (System.in.available() == 0) {
          System.out.println(DriverWords.ofThrough(10));
          Thread.sleep(20);
        }
      }
      case "spark://mute:7077" -> System.in.read();
      default -> make(Path.of(arguments[1]), Path.of(arguments[2]));
    }
  }

  private static void make(Path run, Path counts) throws IOException, ClassNotFoundException {
    try (InputStream from = Files.newInputStream(run);
        ObjectInputStream objects = new ObjectInputStream(from);
        OutputStream to = Files.newOutputStream(counts)) {
      DryRun made = ((RunDocument) objects.readObject()).dryRun();
      System.out.println("a library of its own says something");
      TallyForm.write(
          made.run(new Effort(2, people -> System.out.println(DriverWords.ofThrough(people)))), to);
    }
  }
}
