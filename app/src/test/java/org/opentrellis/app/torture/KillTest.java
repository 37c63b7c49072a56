package org.opentrellis.app.torture;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.opentrellis.app.StartTest;
import org.opentrellis.torture.Killing;
import org.opentrellis.torture.OldFolder;
import org.opentrellis.torture.Score;

/**
 * kill -9 at moments that matter: nothing that was acknowledged is lost, and the next start
 * succeeds. {@code ./trellis torture} does it for as long as one likes.
 */
@Tag("torture")
@Order(1)
class KillTest {
  private static final long SEED = 9;
  private static final int FEW = 2;
  private static final int CROWD = 60;
  private static final int LIVES = Integer.getInteger("lives", FEW);

  @TempDir Path room;

  private final Score score = new Score();

  @Test
  void whileOthersSaveImportAndRun() throws IOException {
    new Killing(StartTest.COMMAND, room, SEED).whileOthersWork(score);
    assertThat(score.told()).isEmpty();
    assertThat(score.tried()).isGreaterThan(40);
  }

  /** It goes on where it was: an import is whole in the end, or gone, and it says which. */
  @Test
  void whileTablesComeInAndGo() throws IOException {
    new Killing(StartTest.COMMAND, room, SEED).inImports(score, LIVES);
    assertThat(score.told()).isEmpty();
  }

  /** Nothing that went out goes out again, but for what it says itself. */
  @Test
  void whileMailGoesOut() throws IOException {
    new Killing(StartTest.COMMAND, room, SEED).inJourneys(score, LIVES, CROWD);
    assertThat(score.told()).isEmpty();
  }

  @Test
  void inTheFirstStart() throws IOException {
    Killing killing = new Killing(StartTest.COMMAND, room, SEED);
    killing.inFirstStart(score);
    assertThat(score.told()).isEmpty();
  }

  /** Of every earlier version if many lives are asked for. */
  @Test
  void inTheUpgradeOfEarlierVersions() throws IOException {
    Killing killing = new Killing(StartTest.COMMAND, room, SEED);
    for (OldFolder old : LIVES > FEW ? OldFolder.all() : OldFolder.some()) {
      killing.inUpgrade(old, score);
    }
    assertThat(score.told()).isEmpty();
  }
}
