package org.opentrellis.app.elsewhere;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.RunCancelled;
import org.opentrellis.core.dryrun.RunControl;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.dryrun.TallyForm;
import org.opentrellis.core.elsewhere.ClusterTrouble;
import org.opentrellis.core.elsewhere.RunDocument;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.JourneyFile;

/** A process that speaks to a cluster is asked, watched, stopped, and not missed when it dies. */
class DriverTest {
  @TempDir Path folder;

  private Driver driver;

  @BeforeEach
  void options() throws IOException {
    Path options = folder.resolve("driver options");
    Files.writeString(
        options,
        "-cp\n\"%s\"\n%s\n"
            .formatted(
                System.getProperty("java.class.path").replace(File.separator, "/"),
                PretendedDriver.class.getName()));
    driver = new Driver(options);
  }

  private static RunDocument document(int people) throws IOException {
    JourneyFile file =
        Documents.readFile(Files.readString(Path.of("../docs/examples/first-frames.json")));
    return RunDocument.of(
        List.of(file.journey()),
        file.catalogue(),
        List.of(file.behaviour().orElseThrow()),
        CohortSettings.of(people, 4, Instant.parse("2027-03-01T00:00:00Z"), 30));
  }

  private static byte[] bytes(Tallies tallies) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    TallyForm.write(tallies, out);
    return out.toByteArray();
  }

  @Test
  void whatComesBackIsWhatThisMachineComesTo() throws IOException {
    AtomicInteger through = new AtomicInteger();
    Tallies there = driver.run(document(5_000), "spark://well:7077", through::addAndGet);
    assertThat(bytes(there)).isEqualTo(bytes(document(5_000).dryRun().run(1)));
    assertThat(through).hasValue(5_000);
  }

  @Test
  void whatGoesWrongThereIsASentence() {
    assertThatThrownBy(() -> driver.run(document(100), "spark://silent:7077", RunControl.NONE))
        .isInstanceOf(ClusterTrouble.class)
        .hasMessage("Nothing answers at spark://silent:7077.");
    assertThatThrownBy(() -> driver.run(document(100), "spark://falls:7077", RunControl.NONE))
        .isInstanceOf(ClusterTrouble.class)
        .hasMessage("The run could not be made on spark://falls:7077: it fell over");
    assertThatThrownBy(
            () ->
                new Driver(folder.resolve("missing"))
                    .run(document(100), "spark://well:7077", RunControl.NONE))
        .isInstanceOf(ClusterTrouble.class)
        .hasMessageStartingWith("The run could not be made on spark://well:7077: ");
  }

  @Test
  void aRunThatIsStoppedLeavesNoProcessBehind() {
    AtomicInteger told = new AtomicInteger();
    long begun = System.nanoTime();
    assertThatThrownBy(
            () ->
                driver.run(
                    document(100),
                    "spark://slow:7077",
                    people -> {
                      if (told.addAndGet(people) > 50) {
                        throw new RunCancelled();
                      }
                    }))
        .isInstanceOf(RunCancelled.class);
    assertThat((System.nanoTime() - begun) / 1e9).isLessThan(20);
    assertThat(ProcessHandle.current().children().filter(ProcessHandle::isAlive))
        .noneMatch(child -> child.info().commandLine().orElse("").contains("driver options"));
  }

  /** As for some twenty seconds while Spark starts. */
  @Test
  void aRunCanBeStoppedBeforeAnythingIsSaid() {
    long begun = System.nanoTime();
    assertThatThrownBy(
            () ->
                driver.run(
                    document(100),
                    "spark://mute:7077",
                    people -> {
                      throw new RunCancelled();
                    }))
        .isInstanceOf(RunCancelled.class);
    assertThat((System.nanoTime() - begun) / 1e9).isLessThan(5);
  }

  @Test
  void onlyWhatIsLargeGoesThere() {
    Elsewhere none = new Elsewhere("", 1_000, Path.of(""));
    assertThat(none.where(2_000_000_000)).isEmpty();
    Elsewhere some = new Elsewhere("spark://well:7077", 1_000, Path.of(""));
    assertThat(some.where(1_000)).isEmpty();
    assertThat(some.where(1_001)).contains("spark://well:7077");
  }
}
