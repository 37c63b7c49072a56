package org.opentrellis.cluster;

import java.io.IOException;
import java.io.InputStream;
import java.io.ObjectInputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.dryrun.TallyForm;
import org.opentrellis.core.elsewhere.Cluster;
import org.opentrellis.core.elsewhere.ClusterTrouble;
import org.opentrellis.core.elsewhere.DriverWords;
import org.opentrellis.core.elsewhere.RunDocument;

/**
 * Makes one run for an application that has no Spark itself: {@code Driver MASTER RUN COUNTS}, where
 * RUN holds a {@link RunDocument} and COUNTS is written. Says on its output how many people are
 * through, many times a second, and goes when its input ends.
 */
public final class Driver {
  private static final int FAILED = 1;

  private Driver() {}

  /** Never comes back: Spark may leave threads behind. */
  public static void main(String[] arguments) {
    System.exit(run(arguments[0], Path.of(arguments[1]), Path.of(arguments[2])));
  }

  private static int run(String master, Path run, Path counts) {
    goWithWhoeverAsked();
    try (Cluster cluster = new SparkClusters().open(master);
        OutputStream to = Files.newOutputStream(counts)) {
      Tallies tallies =
          cluster.run(read(run), people -> System.out.println(DriverWords.ofThrough(people)));
      TallyForm.write(tallies, to);
      return 0;
    } catch (ClusterTrouble trouble) {
      System.out.println(DriverWords.ofTrouble(trouble.getMessage()));
      return FAILED;
    } catch (IOException | ClassNotFoundException unreadable) {
      System.out.println(DriverWords.ofTrouble("The run cannot be read: " + unreadable));
      return FAILED;
    }
  }

  private static RunDocument read(Path run) throws IOException, ClassNotFoundException {
    try (InputStream from = Files.newInputStream(run);
        ObjectInputStream objects = new ObjectInputStream(from)) {
      return (RunDocument) objects.readObject();
    }
  }

  private static void goWithWhoeverAsked() {
    Thread.ofPlatform()
        .daemon()
        .start(
            () -> {
              try {
                while (System.in.read() >= 0) {
                  continue;
                }
              } catch (IOException gone) {
                // as well as an end
              }
              Runtime.getRuntime().halt(FAILED);
            });
  }
}
